package plainlantern.bundle;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.HashMap;
import java.util.Map;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Lengths;
import plainlantern.picture.DecodedPictures;
import plainlantern.rendering.Delivery;
import plainlantern.scene.Scene;

/** {@code render BUNDLE --format png|jpeg --ppi N --out FILE [--quality Q] [--no-paper]}: a delivery with no server. */
public final class RenderCommand {
    private static final String USAGE = "Usage: render BUNDLE --format png|jpeg --ppi N --out FILE [--quality 1-100] [--no-paper]";

    private RenderCommand() {}

    public static void main(String[] args) throws IOException {
        try {
            run(args);
        } catch (BadInput e) {
            System.err.println(e.getMessage());
            System.exit(2);
        }
    }

    private static void run(String[] args) throws IOException {
        Map<String, String> options = options(args);
        Path out = Path.of(options.getOrDefault("out", ""));
        BadInput.unless(options.containsKey("bundle") && options.containsKey("out"), "render", USAGE);
        Path file = Path.of(options.get("bundle"));
        BadInput.unless(Files.isRegularFile(file), "render", "There is no file " + file + ".");
        try (Bundle bundle = Bundle.open(file)) {
            String ppi = options.getOrDefault("ppi", "");
            Delivery delivery = new Delivery(Delivery.Format.of(options.getOrDefault("format", "png")),
                    ppi.isEmpty() ? bundle.sheet().ppi() : Lengths.number(ppi, "ppi"), !options.containsKey("no-paper"),
                    (int) Lengths.number(options.getOrDefault("quality", "92"), "quality"));
            byte[] result = delivery.file(Scene.of(bundle.sheet()), new DecodedPictures(bundle::original));
            Path part = out.resolveSibling(out.getFileName() + ".part");
            Files.write(part, result);
            Files.move(part, out, StandardCopyOption.REPLACE_EXISTING);
            System.out.println(out + ", " + result.length + " bytes");
        }
    }

    private static Map<String, String> options(String[] args) {
        Map<String, String> options = new HashMap<>();
        for (int i = 0; i < args.length; i++) {
            if (args[i].equals("--no-paper")) options.put("no-paper", "");
            else if (args[i].startsWith("--") && i + 1 < args.length) options.put(args[i].substring(2), args[++i]);
            else if (args[i].startsWith("--") || options.put("bundle", args[i]) != null) throw new BadInput("render", USAGE);
        }
        return options;
    }
}
