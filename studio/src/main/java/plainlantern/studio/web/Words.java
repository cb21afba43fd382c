package plainlantern.studio.web;

import java.util.Map;

/**
 * What an error page says for a status of HTTP (RFC 9110).
 *
 * @param title what happened
 * @param said  what can be done
 */
public record Words(String title, String said) {
    private static final Words OTHER = new Words("That did not work", "Go back, reload the page, and try again.");
    private static final Map<Integer, Words> ALL = Map.of(
            400, new Words("That address makes no sense", "It may have been cut off when it was copied."),
            401, new Words("You are signed out", "Sign in again to go on."),
            403, new Words("That isn’t allowed", "The page may have been open for too long. Go back, reload it, and try again."),
            404, new Words("There is nothing here", "The address may be mistyped, or what was here is gone."),
            405, new Words("That isn’t possible here", "Go back and take the page’s own buttons."),
            413, new Words("That is too large", "Pictures have up to 80 MB, bundles up to 520 MB."),
            415, new Words("That can’t be read here", "Bring pictures in the Fill stage, and bundles in My sheets."),
            429, new Words("Too many tries", "Wait a quarter of an hour, then try again."),
            500, new Words("Something went wrong on the server",
                    "Nothing was changed by it. Try again; if it stays so, tell whoever runs this server."),
            503, new Words("The server is busy", "It can’t do this just now. Try again in a minute."));

    public static Words of(int status) {
        Words own = ALL.get(status);
        return own != null ? own : status >= 500 ? ALL.get(500) : OTHER;
    }

    /** The whole page, for errors so early or so deep that no template can be drawn. */
    static String page(int status) {
        Words words = of(status);
        return """
                <!DOCTYPE html><html lang="en"><head><meta charset="utf-8"><title>%1$s · Plain Lantern</title>
                <meta name="viewport" content="width=device-width, initial-scale=1">
                <link rel="stylesheet" href="/webjars/bootstrap/css/bootstrap.min.css"><link rel="stylesheet" href="/css/base.css"></head>
                <body class="lost"><main>
                <a class="brand" href="/sheets"><img src="/mark.svg" alt="" width="19" height="22"> Plain Lantern</a>
                <h1>%1$s</h1><p>%2$s</p><p><a href="/sheets">My sheets</a></p></main></body></html>
                """.formatted(words.title(), words.said());
    }
}
