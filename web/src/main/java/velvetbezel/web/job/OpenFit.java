package velvetbezel.web.job;

import java.util.Optional;
import java.util.Set;
import velvetbezel.fit.FitReport;
import velvetbezel.fit.Fitter;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.fit.KitFrame;
import velvetbezel.sheet.fit.RadioBody;
import velvetbezel.sheet.fit.Site;

/**
 * Whether the chosen radio goes in.
 *
 * @param report empty where opening or radio are not measured, or none is chosen
 */
public record OpenFit(
        Optional<Site> site, Optional<RadioBody> body, Optional<KitFrame> frame, Optional<FitReport> report) {
    static OpenFit of(OpenJob open) {
        Optional<Site> site = open.vehicle().flatMap(Sheet.Vehicle::site);
        Optional<Sheet.Radio> radio =
                open.design().flatMap(d -> d.installation().recipe().radio());
        Optional<RadioBody> body = radio.flatMap(Sheet.Radio::shape);
        Optional<KitFrame> frame = open.design().stream()
                .flatMap(d -> d.installation().recipe().parts().values().stream())
                .flatMap(p -> p.frame().stream())
                .findFirst();
        Optional<FitReport> report = site.isPresent() && body.isPresent()
                ? Optional.of(Fitter.of(site.get(), body.get(), frame, Set.of()))
                : Optional.empty();
        return new OpenFit(site, body, frame, report);
    }
}
