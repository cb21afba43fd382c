package plainlantern.studio;

import java.io.InputStream;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Somebody at the other end of the line: keeps cookies, follows nothing, sends the forms' tokens. */
final class Visitor {
    private final CookieManager jar = new CookieManager();
    private final HttpClient client = HttpClient.newBuilder().cookieHandler(jar)
            .connectTimeout(Duration.ofSeconds(20)).build();
    private String token = "";
    private String base;

    Visitor(int port) {
        to(port);
    }

    /** Goes on at another node. */
    Visitor to(int port) {
        base = "http://127.0.0.1:" + port;
        return this;
    }

    HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create(base + path)).timeout(Duration.ofSeconds(60));
    }

    HttpResponse<String> send(HttpRequest request) throws Exception {
        HttpResponse<String> answer = client.send(request, BodyHandlers.ofString());
        Matcher found = Pattern.compile("name=\"(?:csrf|_csrf)\" (?:content|value)=\"([^\"]+)\"").matcher(answer.body());
        if (found.find()) token = found.group(1);
        return answer;
    }

    /** An answer as it comes in. */
    InputStream open(String path) throws Exception {
        return client.send(HttpRequest.newBuilder(URI.create(base + path)).build(), BodyHandlers.ofInputStream()).body();
    }

    HttpResponse<String> get(String path) throws Exception {
        return send(request(path).build());
    }

    /** Fills a form in, names and values in turn. */
    HttpResponse<String> post(String path, String... fields) throws Exception {
        StringBuilder form = new StringBuilder("_csrf=" + URLEncoder.encode(token, StandardCharsets.UTF_8));
        for (int i = 0; i < fields.length; i += 2)
            form.append('&').append(fields[i]).append('=').append(URLEncoder.encode(fields[i + 1], StandardCharsets.UTF_8));
        return send(request(path).header("Content-Type", "application/x-www-form-urlencoded").POST(BodyPublishers.ofString(form.toString()))
                .build());
    }

    /** Sends JSON as the page's scripts do; single quotes stand for double ones. */
    HttpResponse<String> json(String path, String json) throws Exception {
        return send(request(path).header("Content-Type", "application/json")
                .header("X-CSRF-TOKEN", token).POST(BodyPublishers.ofString(json.replace('\'', '"'))).build());
    }

    List<HttpCookie> cookies() {
        return jar.getCookieStore().getCookies();
    }

    String token() {
        return token;
    }

    /** Makes an account and is signed in; returns the name it signs in as. */
    String signUp(String name, String password) throws Exception {
        get("/sign-up");
        String next = post("/sign-up", "name", name, "password", password).headers().firstValue("Location").orElse("none");
        if (!next.endsWith("/sheets?welcome")) throw new IllegalStateException("not signed up: " + next);
        Matcher said = Pattern.compile("You sign in as <strong>([^<]+)</strong>").matcher(get("/sheets?welcome").body());
        if (!said.find()) throw new IllegalStateException("no welcome");
        return said.group(1);
    }
}
