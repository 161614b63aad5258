package velvetbezel.web.wire;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Outcome;
import velvetbezel.sheet.LeadRole;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.PlugWords;
import velvetbezel.worksheet.PlugUps;

/** Sockets of the new parts that nothing goes into: on purpose, or because something is still to come. */
final class PlugsView {
    /** What a socket of this role is for. */
    private static final Map<LeadRole, FunctionId> FOR = Map.of(
            LeadRole.MICROPHONE, new FunctionId("microphone"),
            LeadRole.GPS, new FunctionId("position"),
            LeadRole.CAMERA, new FunctionId("rear camera"),
            LeadRole.USB, new FunctionId("usb"),
            LeadRole.AUX_INPUT, new FunctionId("aux"),
            LeadRole.SATELLITE, new FunctionId("satellite radio"),
            LeadRole.ANTENNA, new FunctionId("reception"));

    private PlugsView() {}

    static List<String> meantToStayEmpty(OpenJob open, PlugUps ups) {
        return ups.empty().stream()
                .filter(e -> missed(open, e).isEmpty())
                .map(PlugWords::name)
                .toList();
    }

    /** Sockets that a wish or a function which the car had still waits for. */
    static List<String> openWork(OpenJob open, PlugUps ups) {
        return ups.empty().stream()
                .flatMap(e -> missed(open, e).stream()
                        .map(f -> "%s: %s waits for it.".formatted(PlugWords.name(e), open.functionName(f))))
                .toList();
    }

    /** What becomes of the car's in-line links that a part of the kit concerns. */
    static List<String> links(PlugUps ups) {
        return ups.links().stream()
                .map(l -> "Link between %s and %s: %s"
                        .formatted(l.first().device(), l.second().device(), state(l)))
                .toList();
    }

    private static String state(PlugUps.Link link) {
        return switch (link.state()) {
            case THROUGH -> "through %s.".formatted(link.part());
            case CLOSED_BESIDE -> "closed, %s lies beside it and does nothing to it.".formatted(link.part());
            case OPEN -> "open: the lead ends here. Close it, or put both halves on %s.".formatted(link.part());
        };
    }

    private static Optional<FunctionId> missed(OpenJob open, PlugUps.End socket) {
        return socket.plug().positions().stream()
                .flatMap(p -> p.role().stream())
                .flatMap(r -> Optional.ofNullable(FOR.get(r)).stream())
                .filter(f -> wanted(open, f) && !works(open, f))
                .findFirst();
    }

    private static boolean wanted(OpenJob open, FunctionId f) {
        return open.had().contains(f) || open.mustStay(f) || open.wanted(f);
    }

    private static boolean works(OpenJob open, FunctionId f) {
        return open.design()
                .map(d -> d.outcomes().get(f))
                .filter(Outcome::works)
                .isPresent();
    }
}
