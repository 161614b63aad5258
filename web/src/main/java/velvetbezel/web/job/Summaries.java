package velvetbezel.web.job;

import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import velvetbezel.diagnose.FaultKind;
import velvetbezel.diagnose.FaultTally;
import velvetbezel.job.Entry;
import velvetbezel.prove.Result;
import velvetbezel.store.Board;
import velvetbezel.store.FaultsFound;
import velvetbezel.store.StandardFaultRates;

/** Keeps what each job comes to when it changes, so that the board computes nothing. */
@Service
public class Summaries {
    private static final Logger LOG = LoggerFactory.getLogger(Summaries.class);
    private final JobOpener opener;
    private final Board board;
    private final FaultsFound faults;
    private final Prices prices;

    Summaries(JobOpener opener, Board board, FaultsFound faults, Prices prices) {
        this.faults = faults;
        this.prices = prices;
        this.opener = opener;
        this.board = board;
    }

    /** A change that is saved stays saved, whatever becomes of its summary. */
    public void keep(int number) {
        try {
            keep(opener.open(number));
        } catch (RuntimeException e) {
            LOG.error("The summary of job {} was not kept; the board shows the one before", number, e);
        }
    }

    private void keep(OpenJob open) {
        board.keep(
                open.job().id(),
                open.job().seq(),
                Summary.of(open, prices).tree(),
                open.state().get(new Entry.DueBy()),
                open.has(new Entry.HandedOver()),
                Summary.words(open));
        tally(open);
    }

    /** What was found and mended counts once the car has left with everything working. */
    private void tally(OpenJob open) {
        boolean wrong = open.tried().stream().anyMatch(t -> t.result() == Result.NOT_RIGHT);
        boolean practice = open.has(new Entry.HiddenFault());
        if (open.design().isEmpty() || wrong || practice || !open.has(new Entry.HandedOver())) {
            faults.forget(open.job().id());
            return;
        }
        List<FaultKind> mended = open.state().all(Entry.FaultMended.class).stream()
                .filter(e -> open.state().says(new Entry.PlaceLooked(e.place()), Entry.Look.MENDED))
                .flatMap(e -> open.state().get(e).stream())
                .toList();
        faults.keep(
                open.job().id(), FaultTally.of(open.design().get().installation(), StandardFaultRates.all(), mended));
    }
}
