package velvetbezel.web.devices;

import java.nio.file.Path;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** How the app is reached from other devices of the workshop; <code>./start --lan</code> sets it, else it is off. */
@Component
class Lan {
    private final int port;
    private final int certificatePort;
    private final Path folder;
    private final String address;

    /**
     * @param port            of HTTPS; 0 where only this machine is served
     * @param certificatePort of plain HTTP, where nothing but the authority's certificate is to be had
     * @param folder          with ca.crt, server.crt and server.key (PEM)
     * @param address         name or number of this machine on the network
     */
    Lan(
            @Value("${vb.lan.port}") int port,
            @Value("${vb.lan.certificate-port}") int certificatePort,
            @Value("${vb.lan.folder}") String folder,
            @Value("${vb.lan.address}") String address) {
        this.port = port;
        this.certificatePort = certificatePort;
        this.folder = Path.of(folder);
        this.address = address;
    }

    boolean on() {
        return port != 0;
    }

    int port() {
        return port;
    }

    int certificatePort() {
        return certificatePort;
    }

    Path file(String name) {
        return folder.resolve(name).toAbsolutePath();
    }

    /** Where the app is opened. */
    String app() {
        return "https://%s:%d/".formatted(address, port);
    }

    /** Where the certificate is fetched first: there is nothing to trust yet, so it goes without. */
    String connect() {
        return "http://%s:%d/connect".formatted(address, certificatePort);
    }
}
