package velvetbezel.sheet.strip;

/** Something is reached only once a part is loose, or away. */
public record Behind(ItemId item, ItemPosition atLeast) {}
