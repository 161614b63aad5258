package velvetbezel.web.devices;

import org.apache.catalina.connector.Connector;
import org.apache.coyote.http11.AbstractHttp11Protocol;
import org.apache.tomcat.util.net.SSLHostConfig;
import org.apache.tomcat.util.net.SSLHostConfigCertificate;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/** Adds the two ports for the network to the one for this machine. */
@Component
class LanConnectors implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
    private static final String EVERYWHERE = "0.0.0.0";
    private final Lan lan;

    LanConnectors(Lan lan) {
        this.lan = lan;
    }

    @Override
    public void customize(TomcatServletWebServerFactory factory) {
        if (lan.on()) factory.addAdditionalConnectors(https(), listening(lan.certificatePort()));
    }

    private Connector https() {
        Connector connector = listening(lan.port());
        connector.setScheme("https");
        connector.setSecure(true);
        AbstractHttp11Protocol<?> protocol = (AbstractHttp11Protocol<?>) connector.getProtocolHandler();
        protocol.setSSLEnabled(true);
        SSLHostConfig host = new SSLHostConfig();
        host.setProtocols("TLSv1.2,TLSv1.3");
        SSLHostConfigCertificate certificate =
                new SSLHostConfigCertificate(host, SSLHostConfigCertificate.Type.UNDEFINED);
        certificate.setCertificateFile(lan.file("server.crt").toString());
        certificate.setCertificateKeyFile(lan.file("server.key").toString());
        host.addCertificate(certificate);
        connector.addSslHostConfig(host);
        return connector;
    }

    private static Connector listening(int port) {
        Connector connector = new Connector();
        connector.setPort(port);
        connector.setProperty("address", EVERYWHERE);
        return connector;
    }
}
