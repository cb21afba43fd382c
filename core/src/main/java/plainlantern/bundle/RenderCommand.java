package plainlantern.bundle;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import plainlantern.asking.BadInput;
import plainlantern.asking.Choice;
import plainlantern.asking.Lengths;
import plainlantern.picture.DecodedPictures;
import plainlantern.picture.PictureSource;
import plainlantern.rendering.Delivery;
import plainlantern.rendering.FileNames;
import plainlantern.rendering.Format;
import plainlantern.rendering.Progress;
import plainlantern.rendering.RasterPainter;
import plainlantern.scene.Extent;
import plainlantern.scene.Page;
import plainlantern.scene.Pages;
import plainlantern.sheet.ColourTable;
import plainlantern.sheet.Element;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Tones;
import plainlantern.treating.ColourMap;
import plainlantern.treating.CubeFile;

/** A delivery with no server and no database. */
public final class RenderCommand {
    private static final String USAGE = """
            Usage: render BUNDLE ... --out FILE [options]; several bundles become the pages of one PDF, else an archive
              --format png|jpeg|tiff|webp|pdf|svg|openraster   what FILE's extension says, if not told
              --ppi N            pixels an inch; the sheet's own, if not told
              --scale PERCENT    100 is the size on the sheet
              --extent sheet|selection|forms|turned|boxes      forms, turned (as on the sheet) and boxes: each panel
                                 alone, several in an archive
              --select NAME,...  panels by name or id
              --names PATTERN    of files in an archive: {sheet}, {panel}, {n}
              --no-paper  --paper (a selection has none)  --bleed  --marks (PDF)
              --quality 1-100  --chroma by-quality|full|half  --at-most BYTES (JPEG)
              --words text|outlines (PDF, SVG)  --linked (SVG)
            A series: render TEMPLATE --series FOLDER --out FOLDER [options]; with --out FILE.pdf, a page for each sheet
              --data FILE.csv    a line for each sheet; its columns fill captions, or name pictures
              --order best|in-turn   which picture goes where on a sheet
              --sheets PATTERN   what the sheets are called: {template}, {n} and the columns of the table""";
    private static final Set<String> SWITCHES = Set.of("no-paper", "paper", "bleed", "marks", "linked");
    private static final Set<String> VALUES = Set.of("out", "format", "ppi", "scale", "extent", "select", "names", "quality", "chroma",
            "at-most", "words", "series", "data", "order", "sheets");

    private RenderCommand() {}

    public static void main(String[] args) throws IOException {
        RasterPainter.prepare();
        try {
            run(args);
        } catch (BadInput e) {
            System.err.println(e.getMessage());
            System.exit(2);
        } catch (FileSystemException e) {
            System.err.println("This file cannot be read or written: " + e.getFile() + (e.getReason() == null ? "."
                    : ": " + e.getReason() + "."));
            System.exit(2);
        } catch (IOException | UncheckedIOException e) {
            System.err.println("This could not be read or written: " + e.getMessage());
            System.exit(2);
        } catch (OutOfMemoryError e) {
            System.err.println("There is not enough memory for so many pixels. Choose fewer pixels per inch.");
            System.exit(2);
        } catch (RuntimeException e) {
            System.err.println("This could not be rendered: " + (e.getMessage() == null ? e.getClass().getSimpleName() : e.getMessage()));
            System.exit(2);
        }
    }

    private static void run(String[] args) throws IOException {
        List<Path> files = new ArrayList<>();
        Map<String, String> options = options(args, files);
        BadInput.unless(!files.isEmpty() && options.containsKey("out"), "render", USAGE);
        for (Path file : files) BadInput.unless(Files.isRegularFile(file), "render", "There is no file " + file + ".");
        List<Bundle> bundles = new ArrayList<>();
        try {
            for (Path file : files) bundles.add(Bundle.open(file));
            if (options.containsKey("series")) series(bundles, options, Path.of(options.get("out")));
            else deliver(bundles, options, Path.of(options.get("out")));
        } finally {
            for (Bundle bundle : bundles) bundle.close();
        }
    }

    private static void series(List<Bundle> bundles, Map<String, String> options, Path out) throws IOException {
        BadInput.unless(bundles.size() == 1, "render", "A series has one template.");
        Delivery delivery = delivery(options, bundles.get(0).sheet(), out, "jpeg");
        Map<String, ColourMap> tables = new HashMap<>();
        tables(bundles.get(0), tables);
        new SeriesCommand(bundles.get(0), options, tables::get).run(delivery, out);
    }

    private static void tables(Bundle bundle, Map<String, ColourMap> to) throws IOException {
        for (ColourTable table : Tones.tables(bundle.sheet())) to.put(table.id(), CubeFile.read(table.name(), bundle.table(table.id())));
    }

    private static void deliver(List<Bundle> bundles, Map<String, String> options, Path out) throws IOException {
        Delivery delivery = delivery(options, bundles.get(0).sheet(), out, "png");
        List<Page> pages = new ArrayList<>();
        Map<String, Bundle> homes = new HashMap<>();
        Map<String, ColourMap> tables = new HashMap<>();
        for (Bundle bundle : bundles) {
            pages.addAll(Pages.of(bundle.sheet(), delivery.extent(), selected(bundle.sheet(), options.getOrDefault("select", "")),
                    delivery.bleed()));
            bundle.sheet().shelf().forEach(picture -> homes.put(picture.id(), bundle));
            tables(bundle, tables);
        }
        PictureSource source = new DecodedPictures(id -> homes.get(id).original(id), tables::get);
        write(delivery, pages, source, out);
    }

    /** Nothing is left half written. */
    static void write(Delivery delivery, List<Page> pages, PictureSource source, Path out) throws IOException {
        Path part = out.resolveSibling(out.getFileName() + ".part");
        try (OutputStream to = new BufferedOutputStream(Files.newOutputStream(part))) {
            delivery.write(pages, source, Progress.UNHEARD, to);
        } catch (IOException | RuntimeException | Error e) {
            Files.deleteIfExists(part);
            throw e;
        }
        Files.move(part, out, StandardCopyOption.REPLACE_EXISTING);
        System.out.println(out + ", " + Files.size(out) + " bytes");
    }

    private static Delivery delivery(Map<String, String> options, Sheet sheet, Path out, String unsaid) {
        String file = out.getFileName().toString();
        String extension = file.substring(file.lastIndexOf('.') + 1);
        String told = options.getOrDefault("format", Stream.of(Format.values()).filter(f -> f.extension().equalsIgnoreCase(extension))
                .map(Format::name).findFirst().orElse(unsaid));
        Delivery usual = Delivery.of(Format.of(told), sheet.ppi());
        Extent extent = options.containsKey("extent") ? chosen("extent", options.get("extent"), Extent.values()) : usual.extent();
        boolean paper = options.containsKey("paper") || !options.containsKey("no-paper") && extent != Extent.SELECTION;
        Function<String, Double> number = name -> Lengths.number(options.get(name), name);
        Delivery.Edges edges = new Delivery.Edges(paper, options.containsKey("bleed"), options.containsKey("marks"));
        Delivery.Packing packing = new Delivery.Packing(options.containsKey("quality") ? (int) Math.round(number.apply("quality"))
                : usual.quality(),
                options.containsKey("chroma") ? chosen("chroma", options.get("chroma"), Delivery.Chroma.values()) : usual.chroma(),
                options.containsKey("at-most") ? Math.round(number.apply("at-most")) : 0);
        Delivery.Parts parts = new Delivery.Parts(options.containsKey("words") ? words(options.get("words")) : usual.live(),
                options.containsKey("linked"));
        return new Delivery(usual.format(), extent, options.containsKey("ppi") ? number.apply("ppi") : usual.ppi(),
                options.containsKey("scale") ? number.apply("scale") / 100 : 1, edges, packing, parts,
                        options.getOrDefault("names", FileNames.USUAL));
    }

    private static boolean words(String told) {
        BadInput.unless(Set.of("text", "outlines").contains(told), "words", "Words are made text or outlines.");
        return told.equals("text");
    }

    static <T extends Choice> T chosen(String option, String told, T[] all) {
        return Choice.called(told, all)
                .orElseThrow(() -> new BadInput(option, "--" + option + " is one of " + Stream.of(all).map(Choice::label)
                        .collect(Collectors.joining(", ")) + "."));
    }

    /** The ids of the panels that are named. */
    private static List<String> selected(Sheet sheet, String told) {
        Set<String> wanted = Stream.of(told.split(",")).map(String::strip).filter(name -> !name.isEmpty()).collect(Collectors.toSet());
        return sheet.elements().stream().filter(p -> wanted.contains(p.id()) || wanted.contains(p.name())).map(Element::id).toList();
    }

    private static Map<String, String> options(String[] args, List<Path> files) {
        Map<String, String> options = new HashMap<>();
        for (int i = 0; i < args.length; i++) {
            String name = args[i].startsWith("--") ? args[i].substring(2) : "";
            if (name.isEmpty()) files.add(Path.of(args[i]));
            else if (SWITCHES.contains(name)) options.put(name, "");
            else if (VALUES.contains(name) && i + 1 < args.length) options.put(name, args[++i]);
            else throw new BadInput("render", "--" + name + " is not known here.\n" + USAGE);
        }
        return options;
    }
}
