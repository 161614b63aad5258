package velvetbezel.web;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.Collectors;

/** Talks to the application by HTTP as one person, without scripts. */
public final class Site {
    private static final String BOUNDARY = "----test";
    private static final String TOKEN = "t";
    private final HttpClient client = HttpClient.newHttpClient();
    private final String base;
    private final String person;

    public Site(String base, String person) {
        this.base = base;
        this.person = person;
    }

    private HttpRequest.Builder to(String path) {
        return HttpRequest.newBuilder(URI.create(base + path))
                .header("Cookie", "person=%s; token=%s".formatted(person, TOKEN))
                .header("Accept", "text/html");
    }

    public HttpResponse<String> get(String path) {
        return send(to(path).build(), BodyHandlers.ofString());
    }

    public byte[] bytes(String path) {
        return send(to(path).build(), BodyHandlers.ofByteArray()).body();
    }

    public HttpResponse<String> post(String path, Map<String, String> form) {
        Map<String, String> all = new HashMap<>(form);
        all.putIfAbsent("token", TOKEN);
        String body = all.entrySet().stream()
                .map(e -> encode(e.getKey()) + "=" + encode(e.getValue()))
                .collect(Collectors.joining("&"));
        return send(
                to(path).header("Content-Type", "application/x-www-form-urlencoded")
                        .POST(BodyPublishers.ofString(body))
                        .build(),
                BodyHandlers.ofString());
    }

    /** Changes one field of a job; @param seen version it is made against */
    public HttpResponse<String> change(int job, long seen, String field, String value) {
        return post(
                "/jobs/" + job + "/change",
                Map.of("seen", String.valueOf(seen), "back", "/jobs/" + job + "/arrive", "f:" + field, value));
    }

    public HttpResponse<String> upload(String path, String field, Map<String, byte[]> files) throws IOException {
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        for (var file : files.entrySet()) {
            body.write(
                    "--%s\r\nContent-Disposition: form-data; name=\"%s\"; filename=\"%s\"\r\nContent-Type: application/octet-stream\r\n\r\n"
                            .formatted(BOUNDARY, field, file.getKey())
                            .getBytes(StandardCharsets.UTF_8));
            body.write(file.getValue());
            body.write("\r\n".getBytes(StandardCharsets.UTF_8));
        }
        body.write("--%s\r\nContent-Disposition: form-data; name=\"token\"\r\n\r\n%s\r\n"
                .formatted(BOUNDARY, TOKEN)
                .getBytes(StandardCharsets.UTF_8));
        body.write(("--" + BOUNDARY + "--\r\n").getBytes(StandardCharsets.UTF_8));
        return send(
                to(path).header("Content-Type", "multipart/form-data; boundary=" + BOUNDARY)
                        .POST(BodyPublishers.ofByteArray(body.toByteArray()))
                        .build(),
                BodyHandlers.ofString());
    }

    /** The page of something brought in, once it is read. */
    public HttpResponse<String> preview(String path, String field, Map<String, byte[]> files) throws IOException {
        HttpResponse<String> uploaded = upload(path, field, files);
        return uploaded.statusCode() == 302 ? follow(uploaded) : uploaded;
    }

    /** Brings in, and takes in what was read. */
    public HttpResponse<String> takeIn(String path, String field, Map<String, byte[]> files) throws IOException {
        String page = upload(path, field, files)
                .headers()
                .firstValue("Location")
                .orElseThrow()
                .replaceFirst("^http://[^/]+", "");
        settle(page);
        post(page + "/take", Map.of());
        return settle(page);
    }

    private HttpResponse<String> follow(HttpResponse<String> redirect) {
        return settle(redirect.headers().firstValue("Location").orElseThrow().replaceFirst("^http://[^/]+", ""));
    }

    /** Waits while it is being read or taken in. */
    private HttpResponse<String> settle(String page) {
        for (int i = 0; i < 200; i++) {
            HttpResponse<String> now = get(page);
            if (!now.body().contains("data-running")) return now;
            try {
                Thread.sleep(50);
            } catch (InterruptedException e) {
                throw new IllegalStateException(e);
            }
        }
        throw new IllegalStateException("It runs on and on: " + page);
    }

    private <T> HttpResponse<T> send(HttpRequest request, HttpResponse.BodyHandler<T> handler) {
        try {
            return client.send(request, handler);
        } catch (IOException | InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private static String encode(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }

    /** The words of a page, without markup. */
    public static String words(HttpResponse<String> page) {
        return page.body()
                .replaceAll("(?s)<(script|style).*?</\\1>", " ")
                .replaceAll("<[^>]+>", " ")
                .replace("&#39;", "'")
                .replace("&quot;", "\"")
                .replace("&amp;", "&")
                .replace("&lt;", "<")
                .replaceAll("\\s+", " ");
    }
}
