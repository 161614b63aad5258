package velvetbezel.web.job;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import velvetbezel.job.Entry;
import velvetbezel.store.Board;

/** Keeps what each job comes to when it changes, so that the board computes nothing. */
@Service
public class Summaries {
    private static final Logger LOG = LoggerFactory.getLogger(Summaries.class);
    private final JobOpener opener;
    private final Board board;
    private final Prices prices;

    Summaries(JobOpener opener, Board board, Prices prices) {
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
    }
}
