package velvetbezel.web.controls;

import java.time.LocalDate;
import java.util.List;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.PlugWords;
import velvetbezel.web.job.SetUpView;
import velvetbezel.web.shell.Say;
import velvetbezel.worksheet.PlugUps;

/** On paper for one job: what is plugged into what, what stays empty, and what is set, in the order of time. */
record GuideView(
        String heading,
        String of,
        List<String> together,
        List<String> empty,
        List<Setting> settings,
        List<String> stays) {
    /** @param done in words */
    record Setting(String when, String what, String why, String done) {}

    static GuideView of(OpenJob open, LocalDate day) {
        PlugUps ups = PlugUps.of(open.design().orElseThrow().installation());
        return new GuideView(
                Say.it("guide.head", String.valueOf(open.job().number())),
                "%s, %s, %s".formatted(open.vehicle().orElseThrow().name(), open.radioName(), day),
                ups.together().stream()
                        .map(p -> Say.it("guide.into", PlugWords.name(p.first()), PlugWords.name(p.second())))
                        .toList(),
                ups.empty().stream().map(PlugWords::name).toList(),
                SetUpView.of(open).stream()
                        .map(l -> new Setting(
                                l.when(), l.words(), l.why(), Say.it(l.set() ? "guide.done" : "guide.to.do")))
                        .toList(),
                SetUpView.asDelivered(open));
    }
}
