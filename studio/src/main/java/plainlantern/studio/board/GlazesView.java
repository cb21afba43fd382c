package plainlantern.studio.board;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import plainlantern.asking.Unit;
import plainlantern.sheet.Bend;
import plainlantern.sheet.Blend;
import plainlantern.sheet.Element;
import plainlantern.sheet.Glaze;
import plainlantern.sheet.Look;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;
import plainlantern.sheet.Through;

/**
 * What Tone shows of glazes.
 *
 * @param chosen   the first of the selection, where that is nothing but glazes
 * @param all      those of the sheet, the frontmost first
 * @param selected whether anything is selected that one could lie over
 * @param makeable whether all that is selected could become glazes
 */
public record GlazesView(Optional<Chosen> chosen, List<Named> all, boolean selected, boolean makeable) {
    /** The sliders go no farther than most people need; more can be typed. */
    private static final double MOST_BLUR = 20;

    /** @param on whether it is selected */
    public record Named(String id, String name, boolean on, boolean hidden) {}

    /** How one shows what lies beneath it, and how it meets that. */
    public record Chosen(ToneView.Value blur, ToneView.Value opacity, String dx, String dy, boolean whole, String blend,
            List<Blend> blends, Bent bent) {}

    /** @param any whether it is at all */
    public record Seen(ToneView.Value blur, Bent bent, boolean any) {}

    private static final Bend.Kinds<String> GRABS = new Bend.Kinds<>() {
        @Override
        public String wave(Bend.Wave bend) {
            return "";
        }

        @Override
        public String twirl(Bend.Twirl bend) {
            return ROUND;
        }

        @Override
        public String bulge(Bend.Bulge bend) {
            return ROUND;
        }

        @Override
        public String mesh(Bend.Mesh bend) {
            return "Drag its handles on the board. Shift takes several; a double click brings one back.";
        }
    };
    private static final String ROUND = "Drag its middle or its edge on the board.";

    /**
     * @param kind  which bend, empty where it is not bent
     * @param grabs what can be dragged on the board, in words; empty where nothing can
     * @param off   whether it is switched off, with blur and shift
     * @param any   whether there is anything of those
     */
    public record Bent(String kind, String shape, List<Fields.Field> fields, String grabs, boolean off, boolean any) {
        static Bent of(Through through, Numbers n) {
            return through.bend().map(bend -> new Bent(bend.label().toLowerCase(Locale.ROOT), bend instanceof Bend.Wave wave
                    ? wave.shape().label() : "", Fields.of(bend.getClass(), Optional.of((Record) bend), n, 0), through.off() ? ""
                            : bend.as(GRABS), through.off(), true))
                    .orElse(new Bent("", "", List.of(), "", through.off(), !through.equals(Through.CLEAR)));
        }

        /** The bends there are, each with a first one as an edit takes it. */
        public Map<String, String> kinds() {
            Map<String, String> kinds = new LinkedHashMap<>();
            for (Bend bend : Bend.KINDS) kinds.put(bend.label(), SheetJson.MAPPER.writeValueAsString(bend));
            return kinds;
        }

        public List<Bend.Wave.Shape> shapes() {
            return List.of(Bend.Wave.Shape.values());
        }
    }

    static GlazesView of(Sheet sheet, Collection<String> selected) {
        List<Element> elements = sheet.chosen(selected);
        boolean only = !elements.isEmpty() && elements.stream().allMatch(e -> e.glaze().isPresent());
        Numbers n = new Numbers(sheet);
        Optional<Chosen> chosen = only ? elements.get(0).glaze().map(glaze -> chosen(glaze, n)) : Optional.empty();
        List<Named> all = sheet.elements().stream().filter(e -> e.glaze().isPresent())
                .map(e -> new Named(e.id(), e.name(), selected.contains(e.id()), e.hidden()))
                .collect(Collectors.toCollection(ArrayList::new));
        Collections.reverse(all);
        boolean makeable = !elements.isEmpty()
                && elements.stream().allMatch(e -> e.panel().filter(p -> p.content().isEmpty()).isPresent());
        return new GlazesView(chosen, all, !elements.isEmpty(), makeable);
    }

    private static Chosen chosen(Glaze glaze, Numbers n) {
        Look look = glaze.finish().look();
        ToneView.Value blur = blur(glaze.through(), n);
        ToneView.Value opacity = new ToneView.Value("opacity", "Opacity", Unit.percent(look.opacity()), look.opacity() * 100, 0, 100, 1,
                "100 %");
        return new Chosen(blur, opacity, n.length(glaze.through().dx()), n.length(glaze.through().dy()), glaze.whole(),
                look.blend().css(), List.of(Blend.values()), Bent.of(glaze.through(), n));
    }

    private static ToneView.Value blur(Through through, Numbers n) {
        return new ToneView.Value("blur", "Blur", n.length(through.blur()), through.blur(), 0, MOST_BLUR, 0.1, n.length(0));
    }

    /** How the first picture of a selection is bent and blurred, where it could be. */
    static Optional<Seen> seen(Sheet sheet, Collection<String> selected, Looking looking, Numbers n) {
        return sheet.chosen(selected).stream().flatMap(e -> e.holder().stream()).flatMap(h -> h.picture(looking.layer()).stream())
                .findFirst().map(picture -> {
            Through through = picture.through().orElse(Through.CLEAR);
            return new Seen(blur(through, n), Bent.of(through, n), picture.through().isPresent());
        });
    }
}
