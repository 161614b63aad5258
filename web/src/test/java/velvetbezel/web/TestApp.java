package velvetbezel.web;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;

/** The real application with the demo, on a free port and a database of its own, started once for a run of tests. */
public final class TestApp implements BeforeAllCallback {
    private static ConfigurableApplicationContext context;

    @Override
    public void beforeAll(ExtensionContext tests) throws SQLException {
        if (context == null) context = start("../demo");
    }

    /** Another workshop, with data of its own. @param demo folder, empty text for none; @param more settings */
    public static ConfigurableApplicationContext start(String demo, String... more) throws SQLException {
        String url = System.getenv("VB_DB_URL");
        if (url == null) throw new IllegalStateException("VB_DB_URL is not set: run ./test.");
        String name = "w" + UUID.randomUUID().toString().replace("-", "");
        try (Connection c =
                DriverManager.getConnection(url, System.getenv("VB_DB_USER"), System.getenv("VB_DB_PASSWORD"))) {
            c.createStatement().execute("create database " + name);
        }
        Stream<String> own = Stream.of(
                "--server.port=0",
                "--spring.datasource.url=" + url.replaceAll("/[^/]+$", "/" + name),
                "--vb.demo=" + demo);
        return new SpringApplicationBuilder(Application.class)
                .run(Stream.concat(own, Arrays.stream(more)).toArray(String[]::new));
    }

    public static String url() {
        return url(context);
    }

    public static String url(ConfigurableApplicationContext app) {
        return "http://127.0.0.1:" + app.getEnvironment().getProperty("local.server.port");
    }

    public static <T> T bean(Class<T> type) {
        return context.getBean(type);
    }
}
