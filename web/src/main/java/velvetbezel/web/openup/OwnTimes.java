package velvetbezel.web.openup;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.strip.StripDown;
import velvetbezel.store.DashRecords;
import velvetbezel.store.Document;
import velvetbezel.store.Library;
import velvetbezel.strip.LearnedTimes;
import velvetbezel.strip.Timeline;
import velvetbezel.web.job.OpenJob;

/** What a person took at dashes, over all his jobs. */
@Service
class OwnTimes {
    private final DashRecords records;
    private final Library library;

    OwnTimes(DashRecords records, Library library) {
        this.records = records;
        this.library = library;
    }

    /** @param who the person's name */
    TimesView.Learned of(OpenJob open, String who) {
        List<LearnedTimes.Taken> taken = new ArrayList<>();
        List<Timeline.Timed> here = List.of();
        for (DashRecords.Course c : records.ofPerson(who)) {
            boolean own = c.job().equals(open.job().id());
            if (own) here = c.steps();
            strip(open, c, own)
                    .ifPresent(s -> taken.addAll(new Timeline(c.steps()).taken(s, new HashSet<>(c.worked()))));
        }
        return new TimesView.Learned(new LearnedTimes(taken), here);
    }

    private Optional<StripDown> strip(OpenJob open, DashRecords.Course c, boolean own) {
        if (own) return open.dash().sheet();
        return library.find(c.vehicle())
                .flatMap(Document::sheet)
                .filter(Sheet.Vehicle.class::isInstance)
                .flatMap(s -> ((Sheet.Vehicle) s).strip());
    }
}
