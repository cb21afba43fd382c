package plainlantern.studio.board;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.context.Context;
import plainlantern.arranging.Snaps;
import plainlantern.rendering.Addresses;
import plainlantern.rendering.BoardPainter;
import plainlantern.scene.Glazes;
import plainlantern.scene.Scene.PaintedPicture;
import plainlantern.scene.Scene;
import plainlantern.sheet.Element;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetSize;
import plainlantern.sheet.Vista;
import plainlantern.studio.sheets.Change;
import plainlantern.studio.sheets.Opened;
import plainlantern.studio.shelf.PictureAddress;

/** Draws the fragments that a change of a sheet calls for. */
@Component
class Answers {
    /** Pixels along the longer side of what is painted for the board at first. */
    private static final String BOARD_SIDE = "/640";
    /** So many bytes of an edit's JSON go into an address. */
    private static final int LONGEST = 2000;

    private final ITemplateEngine templates;
    private final Map<String, String> gallery = new ConcurrentHashMap<>();

    Answers(ITemplateEngine templates) {
        this.templates = templates;
    }

    /** Where the board finds a picture at first; the page asks for more pixels where it shows it larger. */
    static Addresses board(UUID sheet) {
        return addresses(sheet, "/medium", BOARD_SIDE);
    }

    /** The same of an edit that is not made: of masks that it would change its own address tells it. Those of a very long one stay. */
    static Addresses foreseen(UUID sheet, Sheet before, String edit) {
        Addresses board = board(sheet);
        return new Addresses() {
            @Override
            public String picture(PaintedPicture layer) {
                return board.picture(layer);
            }

            @Override
            public Optional<String> veil(String element, Scene.Layer layer) {
                boolean there = edit.getBytes(StandardCharsets.UTF_8).length > LONGEST || before.find(element).stream()
                        .flatMap(e -> Scene.item(before, e).layers().stream())
                        .anyMatch(l -> l.at() == layer.at() && l.mask().map(Scene.Mask::veil).equals(layer.mask().map(Scene.Mask::veil)));
                return there ? board.veil(element, layer) : Optional.of(PictureAddress.veil(sheet, element, layer, edit) + BOARD_SIDE);
            }
        };
    }

    /** Where a card finds one. */
    static Addresses card(UUID sheet) {
        return addresses(sheet, "/small", "/160");
    }

    private static Addresses addresses(UUID sheet, String level, String side) {
        return new Addresses() {
            @Override
            public String picture(PaintedPicture layer) {
                return PictureAddress.of(layer.treated(), sheet) + (layer.treated().through().isPresent() ? side : level);
            }

            @Override
            public Optional<String> veil(String element, Scene.Layer layer) {
                return Optional.of(PictureAddress.veil(sheet, element, layer) + side);
            }
        };
    }

    /** Elements of a sheet, ready to be drawn: by all processors, as there may be thousands. */
    static List<BoardPainter> drawn(Sheet sheet, List<Element> elements) {
        return elements.parallelStream().map(e -> BoardPainter.of(sheet, e)).toList();
    }

    /** All of a page's elements as its board begins with them: of very many the forms alone. */
    static List<String> boards(UUID sheet, List<BoardPainter> drawn) {
        Addresses href = board(sheet);
        return drawn.parallelStream().map(p -> many(drawn) ? p.bare(href) : p.board(href)).toList();
    }

    /** The rest of very many elements, a line each: their numbers, a tab, what is painted into them (see arrival.js). Nothing of fewer. */
    static String arriving(UUID sheet, List<BoardPainter> drawn) {
        Addresses href = card(sheet);
        return !many(drawn) ? "" : drawn.parallelStream().map(p -> p.numbers().replace("<", "\\u003c") + "\t" + p.painted(href))
                .collect(Collectors.joining("\n"));
    }

    private static boolean many(List<BoardPainter> drawn) {
        return drawn.size() > LineUpView.MANY;
    }

    /** @param whole whether everything is drawn, because the page showed another version than the edit met */
    Answer to(Change change, boolean whole, Looking looking, Collection<String> selected) {
        Sheet now = change.after().sheet();
        if (whole) return whole(change.after(), looking, selected);
        return answer(change.after(), changed(change.before(), now), looking, selected, now.shelf().equals(change.before().shelf()));
    }

    /** The elements that are new or look different. */
    static List<Element> changed(Sheet was, Sheet now) {
        Set<String> elsewhere = elsewhere(was, now);
        return now.elements().stream().filter(e -> elsewhere.contains(e.id()) || !was.find(e.id()).equals(Optional.of(e))).toList();
    }

    /**
     * The panels that show something else although they are as they were: their vista was moved or has a vignette that others change,
     * their picture got a focal point, or something changed beneath a glaze.
     */
    private static Set<String> elsewhere(Sheet was, Sheet now) {
        Set<Vista> lay = new HashSet<>(was.vistas());
        Set<Picture> were = new HashSet<>(was.shelf());
        Set<String> panels = new HashSet<>();
        for (Vista vista : now.vistas()) {
            // A vignette lies in the box of all members together.
            boolean reformed = vista.treatment().tone().vignette().isPresent() && !now.members(vista.id()).equals(was.members(vista.id()));
            if (reformed || !lay.contains(vista)) now.members(vista.id()).forEach(p -> panels.add(p.id()));
        }
        for (Picture picture : now.shelf()) if (!were.contains(picture)) now.users(picture.id()).forEach(p -> panels.add(p.id()));
        panels.addAll(Glazes.seeingOtherwise(was, now));
        return panels;
    }

    Answer whole(Opened opened, Looking looking, Collection<String> selected) {
        return answer(opened, opened.sheet().elements(), looking, selected, false);
    }

    private Answer answer(Opened opened, List<Element> changed, Looking looking, Collection<String> selected, boolean sameShelf) {
        Sheet sheet = opened.sheet();
        List<String> order = sheet.elements().stream().map(Element::id).toList();
        Set<String> there = new HashSet<>(order);
        List<String> kept = selected.stream().filter(there::contains).toList();
        List<BoardPainter> drawn = drawn(sheet, changed);
        LineUpView lineUp = LineUpView.of(sheet, drawn, card(opened.id()));
        String[] cards = cards(lineUp);
        Addresses board = board(opened.id());
        List<Answer.Part> parts = new ArrayList<>();
        List<String> boards = drawn.parallelStream().map(p -> p.board(board)).toList();
        for (int i = 0; i < changed.size(); i++) parts.add(new Answer.Part(changed.get(i).id(), boards.get(i), cards[i]));
        return new Answer(opened.version(), sheet.name(), SheetSize.describe(sheet), kept(opened), opened.undo().orElse(""),
                opened.redo().orElse(""), parts, order, kept, BoardPainter.paper(sheet, board), swatches(sheet),
                lineUp.count(), lineUp.states(), bench(BenchView.of(opened.id(), sheet, looking, kept, sameShelf)),
                new Answer.Facts(sheet.unit().symbol(), sheet.ppi(), sheet.width(), sheet.height(), sheet.bleed()), guides(sheet),
                        vistas(sheet), Optional.empty(), OptionalInt.empty());
    }

    /** The palette as the colour fields offer it. */
    static List<Map<String, String>> swatches(Sheet sheet) {
        return sheet.styles().swatches().stream().map(s -> Map.of("id", s.id(), "name", s.name(), "colour", s.colour().hex())).toList();
    }

    static List<Map<String, Object>> vistas(Sheet sheet) {
        return sheet.vistas().stream().map(v -> BoardPainter.vista(sheet, v)).toList();
    }

    static List<Snaps.Line> guides(Sheet sheet) {
        return Snaps.guideLines(sheet, sheet.guides().shown());
    }

    /** When it was last changed, as ISO 8601 has it: the page tells it in the time of whoever looks. */
    static String kept(Opened opened) {
        return opened.changedAt().toInstant().toString();
    }

    String bench(BenchView view) {
        return templates.process("board/bench", Set.of("bench"),
                new Context(Locale.ROOT, Map.of("view", view, "stages", Stage.values(), "gallery", gallery())));
    }

    /** The drawings of all patterns and forms as HTML, which is the same for every sheet and so made only once. */
    Map<String, String> gallery() {
        for (String part : List.of("patterns", "forms", "add")) {
            gallery.computeIfAbsent(part, name -> templates.process("board/gallery", Set.of(name),
                    new Context(Locale.ROOT, Map.of("patterns", Gallery.PATTERNS, "forms", Gallery.FORMS))));
        }
        return gallery;
    }

    String pattern(PatternForm form) {
        return templates.process("board/pattern", Set.of("form"), new Context(Locale.ROOT, Map.of("form", form)));
    }

    /** The cards that the page begins without. */
    String rest(Opened opened) {
        return String.join("", cards(LineUpView.rest(drawn(opened.sheet(), opened.sheet().elements()))));
    }

    /** All cards in one go of the template, which costs far less than one by one. */
    private String[] cards(LineUpView lineUp) {
        return templates.process("board/card", Set.of("cards"), new Context(Locale.ROOT, Map.of("lineup", lineUp))).split("<hr>");
    }
}
