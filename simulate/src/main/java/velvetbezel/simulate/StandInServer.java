package velvetbezel.simulate;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.util.Optional;

/**
 * The stand-in as a process of its own, on loopback. It says its port on a line of its output, keeps its flash from one
 * connection to the next, and ends with the process that started it. A line that is cut takes its power with it.
 */
public final class StandInServer {
    private static final int MILLIS = 1000;
    private static final int START_STOP_BITS = 10;

    private final String serial;
    private final int revision;
    private final int baud;
    private final Flash flash = new Flash();

    private StandInServer(String serial, int revision, int baud) {
        this.serial = serial;
        this.revision = revision;
        this.baud = baud;
    }

    /** @param arguments serial, revision, baud */
    public static void main(String[] arguments) throws IOException {
        endWithParent();
        StandInServer server =
                new StandInServer(arguments[0], Integer.parseInt(arguments[1]), Integer.parseInt(arguments[2]));
        try (ServerSocket socket = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            System.out.println("port " + socket.getLocalPort());
            while (true)
                try (Socket line = socket.accept()) {
                    server.serve(line);
                } catch (IOException e) {
                    // the line was cut: the next connection finds what is in flash
                    System.err.println("line cut: " + e.getMessage());
                }
        }
    }

    private static void endWithParent() {
        Thread watch = new Thread(() -> {
            try {
                while (System.in.read() >= 0) continue;
            } catch (IOException e) {
                System.err.println("parent gone: " + e.getMessage());
            }
            System.exit(0);
        });
        watch.setDaemon(true);
        watch.start();
    }

    private void serve(Socket line) throws IOException {
        StandIn device = new StandIn(serial, revision, flash);
        FrameReader reader = new FrameReader();
        InputStream in = line.getInputStream();
        OutputStream out = line.getOutputStream();
        for (int b = in.read(); b >= 0; b = in.read()) {
            Optional<Frame> frame = reader.take((byte) b);
            if (frame.isEmpty()) continue;
            byte[] answer = device.take(frame.get()).bytes();
            pause(frame.get().bytes().length + answer.length);
            out.write(answer);
            out.flush();
        }
    }

    /** As long as so many bytes take on a serial line. */
    private void pause(int bytes) {
        try {
            Thread.sleep((long) bytes * START_STOP_BITS * MILLIS / baud);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
