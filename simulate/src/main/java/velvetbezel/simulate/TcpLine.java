package velvetbezel.simulate;

import java.io.IOException;
import java.net.InetAddress;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.util.Arrays;
import java.util.Random;

/** A line to the stand-in's process, with the faults that were asked for. */
final class TcpLine implements Line, AutoCloseable {
    private static final int MOST = 4096;

    private final Socket socket;
    private final Faults faults;
    private final Random random;
    private long left;

    TcpLine(int port, Faults faults) {
        try {
            this.socket = new Socket(InetAddress.getLoopbackAddress(), port);
        } catch (IOException e) {
            throw new PowerCut();
        }
        this.faults = faults;
        this.random = new Random(faults.seed());
        this.left = faults.unplugAfter();
    }

    private byte over(byte b) {
        if (left == 0) {
            close();
            throw new PowerCut();
        }
        if (left > 0) left--;
        return random.nextDouble() < faults.garbled() ? (byte) random.nextInt(256) : b;
    }

    @Override
    public void send(byte[] bytes) {
        byte[] sent = new byte[bytes.length];
        for (int i = 0; i < bytes.length; i++) sent[i] = over(bytes[i]);
        try {
            socket.getOutputStream().write(sent);
        } catch (IOException e) {
            throw new PowerCut();
        }
    }

    @Override
    public byte[] receive(long millis) {
        byte[] come = new byte[MOST];
        try {
            socket.setSoTimeout((int) millis);
            int count = socket.getInputStream().read(come);
            if (count < 0) throw new PowerCut();
            come = Arrays.copyOf(come, count);
        } catch (SocketTimeoutException e) {
            return new byte[0];
        } catch (IOException e) {
            throw new PowerCut();
        }
        for (int i = 0; i < come.length; i++) come[i] = over(come[i]);
        return come;
    }

    @Override
    public void close() {
        try {
            socket.close();
        } catch (IOException e) {
            // closing a line that is gone already
            left = 0;
        }
    }
}
