package velvetbezel.simulate;

import java.io.ByteArrayOutputStream;
import java.util.Random;

/** A line to a stand-in in the same process: garbles a share of the bytes, and is unplugged after some. */
final class SimulatedLine implements Line {
    private final StandIn device;
    private final Random random;
    private final double garbled;
    private final FrameReader reader = new FrameReader();
    private final ByteArrayOutputStream back = new ByteArrayOutputStream();
    private long left;
    private long carried;

    /** @param unplugAfter bytes both ways; below zero never */
    SimulatedLine(StandIn device, long seed, double garbled, long unplugAfter) {
        this.device = device;
        this.random = new Random(seed);
        this.garbled = garbled;
        this.left = unplugAfter;
    }

    private byte over(byte b) {
        if (left == 0) throw new PowerCut();
        if (left > 0) left--;
        carried++;
        return garbled > 0 && random.nextDouble() < garbled ? (byte) random.nextInt(256) : b;
    }

    @Override
    public void send(byte[] bytes) {
        for (byte b : bytes)
            reader.take(over(b)).map(device::take).map(Frame::bytes).ifPresent(back::writeBytes);
    }

    @Override
    public byte[] receive(long millis) {
        byte[] sent = back.toByteArray();
        back.reset();
        byte[] come = new byte[sent.length];
        for (int i = 0; i < sent.length; i++) come[i] = over(sent[i]);
        return come;
    }

    long carried() {
        return carried;
    }
}
