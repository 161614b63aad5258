package velvetbezel.simulate;

import java.util.function.BooleanSupplier;
import java.util.function.Consumer;

/** Loads a set-up into a stand-in's process. */
public final class Load {
    private Load() {}

    /**
     * @param port      where the stand-in listens
     * @param image     what is stored, as it is; 2048 bytes at most
     * @param progress  told every step, the last one too
     * @param cancelled asked before every block
     */
    public static Transfer into(
            int port,
            byte[] image,
            String serial,
            int revision,
            Faults faults,
            Consumer<Transfer> progress,
            BooleanSupplier cancelled) {
        try (TcpLine line = new TcpLine(port, faults)) {
            return new Sender(line, progress, cancelled).load(image, serial, revision);
        } catch (PowerCut e) {
            Transfer end = new Transfer.Interrupted(Transfer.Reason.UNPLUGGED);
            progress.accept(end);
            return end;
        }
    }

    /** Brings back what was in force before. @param progress told how it ended */
    public static Transfer undo(int port, Consumer<Transfer> progress) {
        try (TcpLine line = new TcpLine(port, Faults.NONE)) {
            return new Sender(line, progress, () -> false).undo();
        } catch (PowerCut e) {
            Transfer end = new Transfer.Doubtful();
            progress.accept(end);
            return end;
        }
    }
}
