package plainlantern.studio.demo;

import java.awt.Color;
import java.awt.image.BufferedImage;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import plainlantern.editing.Outside;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Point;
import plainlantern.lettering.Face;
import plainlantern.picture.Footing;
import plainlantern.picture.PictureSource;
import plainlantern.picture.Resample;
import plainlantern.rendering.Beneath;
import plainlantern.sheet.Cleared;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Foot;
import plainlantern.sheet.Levels;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Tone;
import plainlantern.sheet.Treatment;
import plainlantern.studio.demo.DemoSheets.Plan;
import plainlantern.studio.demo.DemoSheets.Step;
import plainlantern.treating.ColourMap;
import plainlantern.treating.CubeFile;
import plainlantern.treating.Matching;
import plainlantern.treating.Patch;

/** The demo's sheets for tests, with smaller pictures of its kinds in place of its own. */
public final class DemoSamples {
    /** The pictures have so many times fewer pixels along each side. */
    private static final int SMALLER = 4;
    private static final List<Light> LIGHTS = List.of(Light.DAWN, Light.NOON, Light.DUSK, Light.FROST, Light.NIGHT);

    private static final Map<String, BufferedImage> IMAGES = new HashMap<>();
    private static final Map<String, Sheet> MADE = new ConcurrentHashMap<>();

    private DemoSamples() {}

    /** Pictures with the names of the demo's, of the smallest size that any of them has; the panorama is as wide as it is painted. */
    static Map<String, Picture> shelf() {
        Map<String, Picture> shelf = new LinkedHashMap<>();
        for (DemoPictures.Painted painted : DemoPictures.ALL) {
            String name = painted.file().replaceFirst("\\.[a-z]+$", "");
            boolean panorama = name.equals("Long evening");
            boolean texture = List.of("Paper", "Side light").contains(name);
            Picture picture = new Picture(String.format("%064x", shelf.size() + 1), name, panorama ? 8200 : texture ? 3580 : 3600,
                    texture ? 5034 : 2700);
            Optional<Foot> foot = painted.file().endsWith(".png") ? Footing.of(image(picture)) : Optional.empty();
            shelf.put(name, picture.treated(Treatment.NONE, foot));
        }
        return shelf;
    }

    /** A finished sheet, made once however often it is asked for: edits are pure. */
    static Sheet made(Plan plan) {
        return MADE.computeIfAbsent(plan.empty().name(), name -> {
            Sheet sheet = plan.empty();
            Map<String, Picture> shelf = shelf();
            for (Step step : plan.steps()) sheet = step.edit(sheet, shelf).completed(new Pixels(), sheet).on(sheet);
            return sheet;
        });
    }

    /** What the demo's edits ask of pixels. */
    private static final class Pixels implements Outside {
        @Override
        public List<Picture> owned(List<Picture> pictures) {
            return pictures;
        }

        @Override
        public Optional<Face> face(String own) {
            return Optional.empty();
        }

        @Override
        public Optional<String> table(String id) {
            return Optional.of(OldPostcard.FILE).filter(file -> id.equals(OldPostcard.ID));
        }

        @Override
        public Levels evened(String picture, Treatment treatment) {
            return Levels.NEUTRAL;
        }

        @Override
        public Tone matched(String giver, Treatment given, String taker, Treatment taken, double strength) {
            return Matching.matched(patch(giver), patch(taker), taken.tone(), strength);
        }

        @Override
        public Optional<List<Point>> edges(Sheet sheet, List<String> but, List<Point> corners) {
            return Beneath.edges(sheet, but, corners, pictures());
        }

        @Override
        public Colour colour(String picture, Point share) {
            BufferedImage image = pictures().image(picture, 1);
            return Colour.of(String.format("#%06X", image.getRGB((int) (share.x() * (image.getWidth() - 1)),
                    (int) (share.y() * (image.getHeight() - 1))) & 0xFFFFFF));
        }

        @Override
        public Optional<Foot> foot(String picture, Optional<Cleared> cleared) {
            return Optional.empty();
        }

        private static Patch patch(String id) {
            BufferedImage small = Resample.toSize(pictures().image(id, 1), 120, 90);
            return new Patch(small.getRGB(0, 0, 120, 90, null, 0, 120), 120, 90, Affine.scale(1 / 120.0, 1 / 90.0));
        }
    }

    public static List<Sheet> sheets() {
        return DemoSheets.ALL.stream().map(DemoSamples::made).toList();
    }

    public static PictureSource pictures() {
        Map<String, Picture> byId = new HashMap<>();
        shelf().values().forEach(picture -> byId.put(picture.id(), picture));
        ColourMap table = CubeFile.read(OldPostcard.FILE, OldPostcard.BYTES);
        return new PictureSource() {
            @Override
            public BufferedImage image(String id, double share) {
                return DemoSamples.image(byId.get(id));
            }

            @Override
            public Optional<ColourMap> table(String id) {
                return Optional.of(table).filter(any -> id.equals(OldPostcard.ID));
            }
        };
    }

    /** Landscapes, each in one of a few lights; the two cutouts are clear around what they show. */
    private static synchronized BufferedImage image(Picture picture) {
        return IMAGES.computeIfAbsent(picture.id(), id -> {
            int width = picture.width() / SMALLER;
            int height = picture.height() / SMALLER;
            BufferedImage clear = new BufferedImage(width, height, BufferedImage.TYPE_4BYTE_ABGR);
            int number = Integer.parseInt(id, 16);
            return switch (picture.name()) {
                case "Heron" -> new Figures(clear).heron(0.48, 0.97, 0.95).image();
                case "Mill wheel" -> new Figures(clear).wheel(0.5, 0.5, 0.46, new Color(0x946538), new Color(0x40291A)).image();
                // Its fibres are told in pixels.
                case "Paper" -> Resample.toSize(Textures.paper(2 * width, 2 * height), width, height);
                case "Side light" -> Textures.light(width, height);
                default -> new Landscape(width, height, LIGHTS.get(number % LIGHTS.size()), 0.55, 0.5, 0.4, 0.04, 4, 0.25, 0.5, number)
                        .paint();
            };
        });
    }
}
