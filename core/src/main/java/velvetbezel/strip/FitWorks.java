package velvetbezel.strip;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import velvetbezel.fit.Collision;
import velvetbezel.fit.FitReport;
import velvetbezel.fit.Remedy;
import velvetbezel.sheet.Fact;
import velvetbezel.sheet.FieldRef;
import velvetbezel.sheet.Provenance;
import velvetbezel.sheet.fit.KitFrame;
import velvetbezel.sheet.fit.MountingPlace;
import velvetbezel.sheet.strip.Behind;
import velvetbezel.sheet.strip.Count;
import velvetbezel.sheet.strip.DashItem;
import velvetbezel.sheet.strip.FastenerGroup;
import velvetbezel.sheet.strip.ItemId;
import velvetbezel.sheet.strip.ItemKind;
import velvetbezel.sheet.strip.ItemPosition;
import velvetbezel.sheet.strip.Minutes;
import velvetbezel.sheet.strip.ScrewDrive;
import velvetbezel.sheet.strip.StripDown;
import velvetbezel.sheet.strip.Work;
import velvetbezel.sheet.strip.WorkPhase;

/**
 * What the fit says must be taken out, moved or cut, as steps of the strip-down: behind the radio, before the new one
 * goes in.
 *
 * @param away what comes out and stays out
 */
public record FitWorks(StripDown strip, Set<ItemId> away) {
    private static final Pattern FASTENERS = Pattern.compile("(\\d{1,2}) × (.+)");
    /** Where nobody stated the time (common practice, no source). */
    private static final Minutes USUAL = new Minutes(2, 5, 15);

    public FitWorks {
        away = Set.copyOf(away);
    }

    /** Only what is certain to be met; what may be met is looked at with the radio out. */
    public static FitWorks in(StripDown plain, FitReport fit, Optional<KitFrame> kit) {
        StripDown strip = kit.map(k -> moved(plain, k)).orElse(plain);
        List<Behind> radioOut = strip.items().stream()
                .filter(i -> i.kind() == ItemKind.RADIO)
                .map(i -> new Behind(i.id(), ItemPosition.AWAY))
                .toList();
        List<DashItem> items = new ArrayList<>(strip.items());
        Map<String, Work> works = new LinkedHashMap<>();
        strip.works().forEach(w -> works.put(w.id(), w));
        Set<ItemId> away = new HashSet<>();
        for (Collision c : fit.collisions()) {
            if (c.insertOfKit() || !c.certain() || c.refused()) continue;
            Optional<DashItem> item = strip.items().stream()
                    .filter(i -> i.id().name().equals(c.with()))
                    .findFirst()
                    .or(() -> c.remedy() instanceof Remedy.Unscrew u ? item(c.with(), u, radioOut) : Optional.empty());
            if (c.remedy() instanceof Remedy.Unscrew && item.isPresent()) {
                if (away.add(item.get().id()) && !items.contains(item.get())) items.add(item.get());
            } else {
                Work w = work(c, radioOut);
                works.putIfAbsent(w.id(), w);
            }
        }
        return new FitWorks(new StripDown(items, List.copyOf(works.values()), strip.extras(), strip.facts()), away);
    }

    /**
     * The same with things put at places that parts of the dash cover.
     *
     * @param things each with where it goes
     */
    public FitWorks mounting(Map<String, MountingPlace> things) {
        Map<String, Work> works = new LinkedHashMap<>();
        strip.works().forEach(w -> works.put(w.id(), w));
        things.forEach((thing, place) -> {
            List<Behind> open = place.behind().stream()
                    .map(ItemId::new)
                    .filter(i -> strip.item(i).isPresent())
                    .map(i -> new Behind(i, ItemPosition.LOOSE))
                    .toList();
            String id = "mount %s at %s".formatted(thing, place.words());
            if (!open.isEmpty())
                works.putIfAbsent(
                        id,
                        new Work(id, WorkPhase.OPEN, USUAL, Map.of(), Set.of(), Set.of(), open, Set.of(), Set.of()));
        });
        return new FitWorks(
                new StripDown(strip.items(), List.copyOf(works.values()), strip.extras(), strip.facts()), away);
    }

    /** With the screws that a kit keeps out, or takes elsewhere. */
    private static StripDown moved(StripDown strip, KitFrame kit) {
        if (kit.bench().screwsOut().isEmpty()) return strip;
        return strip.withItems(strip.items().stream().map(i -> moved(i, kit)).toList());
    }

    private static DashItem moved(DashItem item, KitFrame kit) {
        List<FastenerGroup> groups = item.fasteners().stream()
                .map(g -> kit.bench().screwsOut().stream()
                        .filter(o -> o.of().equals(item.id() + "/" + g.id()))
                        .findFirst()
                        .map(o -> g.without(Math.max(0, g.count().least() - o.back()), o.to()))
                        .orElse(g))
                .toList();
        return item.withFasteners(groups);
    }

    /** "4 × hex 8" is a group of fasteners; what cannot be read so is a piece of work. */
    private static Optional<DashItem> item(String id, Remedy.Unscrew u, List<Behind> behind) {
        Matcher m = FASTENERS.matcher(u.fasteners());
        if (!m.matches()) return Optional.empty();
        int count = Integer.parseInt(m.group(1));
        String drive = m.group(2).replaceFirst("^(\\d+(?:[.,]\\d+)?) mm$", "hex $1");
        return ScrewDrive.find(drive)
                .filter(d -> count > 0)
                .map(d -> new DashItem(
                        new ItemId(id),
                        ItemKind.SHELF,
                        "",
                        List.of(new FastenerGroup(
                                "screws",
                                "screw",
                                List.of(d),
                                new Count(count, count),
                                false,
                                false,
                                Set.of(),
                                List.of(),
                                Fact.missing(new FieldRef("fit", id + ".length")),
                                0,
                                "")),
                        Optional.empty(),
                        List.of(),
                        behind,
                        Map.of(),
                        new Fact.Known<>(true, Provenance.of(Provenance.Origin.ASSUMED)),
                        true,
                        false,
                        Optional.empty(),
                        Set.of(),
                        minutes(u.minutes()),
                        List.of(),
                        List.of()));
    }

    private static Minutes minutes(double stated) {
        return stated > 0 ? new Minutes(stated / 2, stated, stated * 2) : USUAL;
    }

    private static Work work(Collision c, List<Behind> open) {
        String id = "make way at " + c.with();
        double stated = c.remedy() instanceof Remedy.Unscrew u ? u.minutes() : 0;
        return new Work(id, WorkPhase.OPEN, minutes(stated), Map.of(), Set.of(), Set.of(), open, Set.of(), Set.of());
    }
}
