package velvetbezel.store;

import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.TokenStreamLocation;
import tools.jackson.core.exc.StreamConstraintsException;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import velvetbezel.sheet.InvalidInput;

/** JSON text to trees of maps, lists, texts and numbers, and back. A field given twice is an error. */
public final class Json {
    /** More than any honest sheet or archive has; a text beyond it is refused before it fills the memory. */
    private static final int MOST_LEVELS = 100;

    private static final int MOST_NAME = 500;
    private static final int MOST_DIGITS = 100;
    private static final JsonMapper STRICT = JsonMapper.builder(JsonFactory.builder()
                    .streamReadConstraints(StreamReadConstraints.builder()
                            .maxNestingDepth(MOST_LEVELS)
                            .maxNameLength(MOST_NAME)
                            .maxNumberLength(MOST_DIGITS)
                            .build())
                    .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                    .build())
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .enable(SerializationFeature.INDENT_OUTPUT)
            .build();

    private Json() {}

    /** @throws InvalidInput with line and column where the text is no JSON, or one that the database cannot keep */
    public static Object parse(String text) {
        if (text.indexOf('\0') >= 0 || text.contains("\\u0000"))
            throw new InvalidInput("the text", "holds the character NUL, which no text has; take it out.");
        try {
            return STRICT.readValue(text, Object.class);
        } catch (JacksonException e) {
            TokenStreamLocation at = e.getLocation();
            String place = at == null ? "the text" : "line %d, column %d".formatted(at.getLineNr(), at.getColumnNr());
            throw new InvalidInput(
                    place,
                    e instanceof StreamConstraintsException
                            ? "goes beyond what is read: at most %d levels of brackets, names of %d letters and numbers of %d digits."
                                    .formatted(MOST_LEVELS, MOST_NAME, MOST_DIGITS)
                            : "is no JSON: " + e.getOriginalMessage());
        }
    }

    public static String write(Object tree) {
        return STRICT.writeValueAsString(tree);
    }

    /** Same content, whatever the order of fields and the white space. */
    public static boolean same(String a, String b) {
        return STRICT.readTree(a).equals(STRICT.readTree(b));
    }
}
