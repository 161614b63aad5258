package velvetbezel.web.library;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import velvetbezel.sheet.Device;
import velvetbezel.sheet.InnerWire;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.Port;
import velvetbezel.sheet.RuleWords;
import velvetbezel.sheet.Sheet;

/** What a device is made of, in words. */
public record DeviceView(
        String id,
        String name,
        String shelf,
        int revision,
        String heading,
        List<Piece> leads,
        List<Piece> plugs,
        List<Piece> wires,
        List<Piece> ports,
        List<Piece> rules,
        List<InputProblem> faults) {
    /** @param list where it stands in the sheet; @param key what it is called there */
    public record Piece(String list, String key, String text) {}

    static DeviceView of(Sheet sheet, String shelf, int revision, List<InputProblem> faults) {
        Device d = device(sheet);
        String heading =
                sheet instanceof Sheet.Vehicle ? "Factory radio: what it does" : "What it has and what it does";
        return new DeviceView(
                sheet.id(),
                sheet.name(),
                shelf,
                revision,
                heading,
                d.leads().stream()
                        .map(l -> new Piece(
                                "leads",
                                l.name(),
                                "%s: %s, %s"
                                        .formatted(
                                                l.name(),
                                                l.roleWords(),
                                                l.flow().word())))
                        .toList(),
                d.plugs().stream().map(p -> new Piece("plugs", p.id(), plug(p))).toList(),
                d.wires().stream()
                        .map(w -> new Piece("wires", key(w), "%s to %s".formatted(w.from(), w.to())))
                        .toList(),
                d.ports().stream().map(p -> new Piece("ports", p.id(), port(p))).toList(),
                d.rules().stream()
                        .map(r -> new Piece("rules", r.id(), RuleWords.of(r)))
                        .toList(),
                faults);
    }

    static Device device(Sheet sheet) {
        if (sheet instanceof Sheet.Vehicle v) return v.radio();
        return sheet instanceof Sheet.Radio r
                ? r.device()
                : ((Sheet.Part) sheet)
                        .device()
                        .orElseThrow(() -> new InvalidInput(
                                sheet.id(), "This part has no wires; there is nothing to enter here."));
    }

    static String path(Sheet sheet) {
        return sheet instanceof Sheet.Vehicle ? "radio" : "device";
    }

    static String key(InnerWire w) {
        return w.from() + " > " + w.to();
    }

    private static String plug(Plug p) {
        return "%s: %s, %d positions, %s; %s"
                .formatted(
                        p.id(),
                        p.family(),
                        p.size(),
                        p.socket() ? "socket" : "plug",
                        p.positions().stream()
                                .filter(q -> !q.empty())
                                .map(q -> q.number() + " " + q.roleWords())
                                .collect(Collectors.joining(", ")));
    }

    private static String port(Port p) {
        return "%s: %s%s"
                .formatted(
                        p.id(),
                        p.medium().name().toLowerCase(Locale.ROOT),
                        p.plus()
                                .map(t -> " at " + t
                                        + p.minus().map(m -> " and " + m).orElse(""))
                                .orElse(""));
    }
}
