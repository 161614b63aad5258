package velvetbezel.web.devices;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import java.util.List;
import java.util.UUID;
import velvetbezel.store.Devices;
import velvetbezel.web.shell.Words;

/**
 * Phones and other devices.
 *
 * @param on     whether the network is served
 * @param steps  what a new device does, in this order
 */
public record DevicesView(boolean on, List<Step> steps, List<Line> lines) {
    /** @param size of the code's square; @param code path of its dark fields */
    public record Step(String text, String address, int size, String code) {}

    public record Line(UUID id, String name, String signedIn, String seen) {}

    static DevicesView of(Lan lan, List<Devices.Device> signedIn) {
        return new DevicesView(
                lan.on(),
                lan.on()
                        ? List.of(
                                step("Once: fetch the workshop's certificate, and trust it", lan.connect()),
                                step("Open the app, and sign in with the passphrase", lan.app()))
                        : List.of(),
                signedIn.stream()
                        .map(d -> new Line(d.id(), d.name(), Words.moment(d.signedIn()), Words.moment(d.seen())))
                        .toList());
    }

    private static Step step(String text, String address) {
        BitMatrix code = code(address);
        StringBuilder path = new StringBuilder();
        for (int y = 0; y < code.getHeight(); y++)
            for (int x = 0; x < code.getWidth(); x++) if (code.get(x, y)) path.append("M%d %dh1v1h-1z".formatted(x, y));
        return new Step(text, address, code.getWidth(), path.toString());
    }

    /** The smallest code that holds it, with its quiet zone. */
    private static BitMatrix code(String address) {
        try {
            return new QRCodeWriter().encode(address, BarcodeFormat.QR_CODE, 0, 0);
        } catch (WriterException e) {
            throw new IllegalStateException("No code can be made of " + address, e);
        }
    }
}
