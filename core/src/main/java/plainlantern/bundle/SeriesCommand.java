package plainlantern.bundle;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import plainlantern.picture.DecodedPictures;
import plainlantern.picture.PictureSource;
import plainlantern.rendering.Delivery;
import plainlantern.rendering.FileNames;
import plainlantern.rendering.Format;
import plainlantern.scene.Page;
import plainlantern.scene.Pages;
import plainlantern.series.Plan;
import plainlantern.series.Table;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.treating.ColourMap;

/** A series with no server and no database: a template, a folder of pictures, a table. */
final class SeriesCommand {
    private final Bundle template;
    private final Map<String, String> options;
    private final Function<String, ColourMap> tables;

    SeriesCommand(Bundle template, Map<String, String> options, Function<String, ColourMap> tables) {
        this.template = template;
        this.options = options;
        this.tables = tables;
    }

    /** Writes a file a sheet into a folder, or one PDF with a page each. */
    void run(Delivery delivery, Path out) throws IOException {
        Optional<Table> table = Optional.empty();
        if (options.containsKey("data")) table = Optional.of(Table.read(Files.readAllBytes(Path.of(options.get("data")))));
        Folder folder = Folder.read(Path.of(options.get("series")));
        Plan.Order order = RenderCommand.chosen("order", options.getOrDefault("order", "best"), Plan.Order.values());
        Plan plan = Plan.of(template.sheet(), folder.pictures(), table, order, options.getOrDefault("sheets", ""));
        plan.remarks().forEach(System.err::println);
        List<Page> pages = new ArrayList<>();
        for (Sheet sheet : made(plan, folder)) pages.addAll(Pages.of(sheet, delivery.extent(), List.of(), delivery.bleed()));
        delivery.check(pages);
        PictureSource source = new DecodedPictures(id -> folder.has(id) ? folder.original(id) : template.original(id), tables);
        if (delivery.format() == Format.PDF && out.toString().endsWith(".pdf")) RenderCommand.write(delivery, pages, source, out);
        else each(delivery, pages, source, out);
    }

    private List<Sheet> made(Plan plan, Folder folder) {
        Map<String, Picture> known = folder.pictures().stream().collect(Collectors.toMap(Picture::id, Function.identity()));
        return plan.sheets().stream().map(filling -> filling.on(template.sheet(), known)).toList();
    }

    private void each(Delivery delivery, List<Page> pages, PictureSource source, Path out) throws IOException {
        Files.createDirectories(out);
        List<String> names = FileNames.of(options.getOrDefault("names", "{sheet}"), pages);
        for (int i = 0; i < pages.size(); i++) RenderCommand.write(delivery, List.of(pages.get(i)), source,
                out.resolve(names.get(i) + "." + delivery.extension(1)));
    }
}
