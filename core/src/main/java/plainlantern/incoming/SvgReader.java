package plainlantern.incoming;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Dimension;
import java.awt.Paint;
import java.awt.geom.AffineTransform;
import java.awt.geom.Dimension2D;
import java.awt.geom.Ellipse2D;
import java.awt.geom.PathIterator;
import java.awt.geom.Rectangle2D;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.batik.anim.dom.SAXSVGDocumentFactory;
import org.apache.batik.bridge.BridgeContext;
import org.apache.batik.bridge.BridgeException;
import org.apache.batik.bridge.DocumentLoader;
import org.apache.batik.bridge.ExternalResourceSecurity;
import org.apache.batik.bridge.GVTBuilder;
import org.apache.batik.bridge.NoLoadExternalResourceSecurity;
import org.apache.batik.bridge.NoLoadScriptSecurity;
import org.apache.batik.bridge.ScriptSecurity;
import org.apache.batik.bridge.UserAgentAdapter;
import org.apache.batik.gvt.CompositeGraphicsNode;
import org.apache.batik.gvt.CompositeShapePainter;
import org.apache.batik.gvt.GraphicsNode;
import org.apache.batik.gvt.ShapeNode;
import org.apache.batik.gvt.ShapePainter;
import org.apache.batik.gvt.StrokeShapePainter;
import org.apache.batik.parser.AWTPathProducer;
import org.apache.batik.parser.ParseException;
import org.apache.batik.util.ParsedURL;
import org.w3c.dom.DOMException;
import org.w3c.dom.Element;
import org.w3c.dom.Node;
import org.w3c.dom.svg.SVGDocument;
import org.w3c.dom.svg.SVGSVGElement;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Algebra;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.incoming.Drawing.Form;
import plainlantern.incoming.Drawing.Shape;
import plainlantern.incoming.Drawing.ShapeKind;
import plainlantern.incoming.Drawing.Shown;
import plainlantern.incoming.Drawing.Stroke;
import plainlantern.incoming.Drawing.Thing;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Rim;
import plainlantern.sheet.Seat;

/**
 * Reads SVG: Batik resolves styles, uses, symbols, units, view boxes and transforms to a tree of shapes; from each shape that is there
 * comes
 * a form. Where a group is clipped, its clip is the form and the images in it are the form's pictures.
 */
public final class SvgReader {
    private static final double PX = Unit.MM_PER_INCH / 96;
    private static final int MOST_FORMS = 2000;
    private static final double FLAT = 0.01;
    /** Groups with that class are elements as our own deliveries write them. */
    private static final String OURS = "layers";

    private final SvgTrim trim = new SvgTrim();
    private final List<Thing> things = new ArrayList<>();
    private final Map<Node, Integer> groups = new LinkedHashMap<>();
    private BridgeContext context;

    private SvgReader() {}

    /**
     * A drawing, of an SVG file's text or of bare SVG path data (SVG 2, 9.3), whose unit is the CSS pixel.
     *
     * @throws BadInput where it cannot be read or is too much, or nothing in it can be taken
     */
    public static Drawing read(String text) {
        String svg = text.strip();
        if (svg.startsWith("\uFEFF")) svg = svg.substring(1);
        if (svg.matches("(?s)[Mm][-+.,\\s\\deEmMzZlLhHvVcCsSqQtTaA]+"))
            svg = "<svg xmlns='http://www.w3.org/2000/svg'><path d='" + svg + "'/></svg>";
        SvgGuard.check(svg);
        try {
            Drawing drawing = new SvgReader().drawing(svg);
            BadInput.unless(!drawing.empty(), "svg", "There is no form in this drawing that can be taken."
                    + (drawing.told().isEmpty() ? "" : " Left out: " + drawing.told() + "."));
            return drawing;
        } catch (BadInput no) {
            throw no;
        } catch (IOException | BridgeException | DOMException | SecurityException | IllegalArgumentException | NullPointerException
                | ClassCastException | IllegalStateException | UncheckedIOException e) {
            throw new BadInput("svg", "This SVG file can't be read.");
        }
    }

    private Drawing drawing(String svg) throws IOException {
        SVGDocument document = new SAXSVGDocumentFactory(null).createSVGDocument("file:///drawing.svg", new StringReader(svg));
        trim.trim(document);
        Agent agent = new Agent();
        context = new BridgeContext(agent, new DocumentLoader(agent));
        // So it keeps which element a shape came of; nothing runs.
        context.setDynamicState(BridgeContext.INTERACTIVE);
        GraphicsNode tree = new GVTBuilder().build(context, document);
        Box page = page(document.getRootElement(), svg);
        AffineTransform toMm = AffineTransform.getTranslateInstance(page.x(), page.y());
        toMm.scale(PX, PX);
        walk(tree, toMm, Optional.empty(), new ArrayList<>());
        return new Drawing(page, named(things), trim.images, trim.missed);
    }

    /** The part that is shown, mm, beginning where its view box says, so that a bleed stays outside. */
    private Box page(SVGSVGElement root, String svg) {
        double width = context.getDocumentSize().getWidth() * PX;
        double height = context.getDocumentSize().getHeight() * PX;
        String[] box = root.getAttribute("viewBox").strip().split("[\\s,]+");
        if (box.length != 4) return new Box(0, 0, width, height);
        double scale = width / Math.max(1e-9, Double.parseDouble(box[2]));
        return new Box(Double.parseDouble(box[0]) * scale, Double.parseDouble(box[1]) * scale, width, height);
    }

    /**
     * @param clip what is seen, mm; absent where all is
     * @param into the pictures of the clipped group that this is in; images elsewhere are forms of their own
     */
    private void walk(GraphicsNode node, AffineTransform outer, Optional<Path> clip, List<Shown> into) {
        if (!node.isVisible()) return;
        AffineTransform map = new AffineTransform(outer);
        if (node.getTransform() != null) map.concatenate(node.getTransform());
        Optional<Path> seen = clip;
        Element element = context.getElement(node);
        // What lies beside the page is taken, too.
        if (node.getClip() != null && !(element instanceof SVGSVGElement svg && svg.getOwnerSVGElement() == null)) {
            Path own = Path.of(node.getClip().getClipPath().getPathIterator(map));
            if (!near(own)) own = Path.EMPTY;
            Path clipped = own;
            seen = Optional.of(clip.map(path -> Algebra.intersection(path, clipped).orElse(Path.EMPTY)).orElse(own));
            boolean ours = element != null && element.getAttribute("class").equals(OURS);
            if (ours || holdsImage(node)) {
                window(node, map, seen.get(), element, ours);
                return;
            }
        }
        if (node instanceof CompositeGraphicsNode group) {
            for (Object child : group.getChildren()) walk((GraphicsNode) child, map, seen, into);
        } else if (node instanceof ShapeNode shape && element != null) {
            shape(shape, map, seen, element);
        }
    }

    private boolean holdsImage(GraphicsNode node) {
        Element element = context.getElement(node);
        if (element != null && element.hasAttribute(SvgTrim.MARK)) return true;
        return node instanceof CompositeGraphicsNode group && group.getChildren().stream().anyMatch(child ->
                holdsImage((GraphicsNode) child));
    }

    /** A clip with what is seen through it: one form, or several where our own delivery joined them. */
    private void window(GraphicsNode node, AffineTransform map, Path clip, Element element, boolean ours) {
        // The paper is no element.
        if (ours && element.getAttribute("clip-path").equals("url(#clip-paper)")) return;
        List<Shown> pictures = new ArrayList<>();
        images(node, map, pictures);
        String pieces = ours && element.getParentNode() instanceof Element parent ? parent.getAttribute("data-pieces") : "";
        List<Path> forms = pieces.isEmpty() ? List.of(clip) : Stream.of(pieces.split("\\|")).map(piece -> piece(piece, map)).toList();
        for (Path form : forms) add(element, form, new Shape(form, ShapeKind.PATH, Affine.IDENTITY), pictures);
    }

    /** One of the forms that our own delivery lists for what it joined. */
    private static Path piece(String data, AffineTransform map) {
        try {
            return Path.of(AWTPathProducer.createShape(new StringReader(data), PathIterator.WIND_EVEN_ODD).getPathIterator(map));
        } catch (IOException | ParseException e) {
            throw new BadInput("file", "The pieces of a joined form cannot be read.");
        }
    }

    private void images(GraphicsNode node, AffineTransform map, List<Shown> pictures) {
        if (node instanceof CompositeGraphicsNode group) {
            for (Object child : group.getChildren()) {
                GraphicsNode inner = (GraphicsNode) child;
                AffineTransform deeper = new AffineTransform(map);
                if (inner.getTransform() != null) deeper.concatenate(inner.getTransform());
                images(inner, deeper, pictures);
            }
        } else if (node instanceof ShapeNode shape) {
            shown(shape, map, context.getElement(node)).ifPresent(pictures::add);
        }
    }

    private static Optional<Shown> shown(ShapeNode shape, AffineTransform map, Element element) {
        if (element == null || !element.hasAttribute(SvgTrim.MARK)) return Optional.empty();
        Rectangle2D box = shape.getShape().getBounds2D();
        return Optional.of(new Shown(element.getAttribute(SvgTrim.MARK), new Box(box.getX(), box.getY(), box.getWidth(), box.getHeight()),
                element.getAttribute("data-fit"), affine(map)));
    }

    private void shape(ShapeNode node, AffineTransform map, Optional<Path> clip, Element element) {
        if (element.getAttribute("class").equals("rim")) {
            rim(node, map, element);
            return;
        }
        if (element.hasAttribute(SvgTrim.WORDS)) {
            words(node, map, element);
            return;
        }
        Path path = Path.of(node.getShape().getPathIterator(map));
        if (path.empty()) return;
        if (!near(path)) {
            trim.miss("form far away");
            return;
        }
        if (straight(path)) {
            Rim line = line(node, map).orElse(Rim.RULE);
            List<Point> ends = ends(path);
            if (ends.get(0).distance(ends.get(1)) >= 0.5) put(element, new Stroke(ends.get(0), ends.get(1), line));
            else trim.miss("line of no length");
            return;
        }
        if (path.bounds().shorter() < FLAT) {
            trim.miss("form without an area");
            return;
        }
        Optional<Path> seen = clip.isEmpty() ? Optional.of(path) : Algebra.intersection(path, clip.get());
        if (seen.isEmpty()) return;
        ShapeKind kind = clip.isPresent() ? ShapeKind.PATH : node.getShape() instanceof Ellipse2D ? ShapeKind.ELLIPSE
                : node.getShape() instanceof Rectangle2D ? ShapeKind.RECTANGLE : ShapeKind.PATH;
        Rectangle2D box = node.getShape().getBounds2D();
        Affine unit = affine(map).after(Affine.move(box.getCenterX(), box.getCenterY())).after(Affine.scale(box.getWidth(),
                box.getHeight()));
        add(element, seen.get(), new Shape(seen.get(), kind, unit), shown(node, map, element).map(List::of).orElse(List.of()));
    }

    /** Words that stand upright on their line; slanted or mirrored ones are no letters any more. */
    private void words(ShapeNode node, AffineTransform map, Element element) {
        Rectangle2D em = node.getShape().getBounds2D();
        Affine toMm = affine(map).after(Affine.move(em.getX(), em.getY())).after(Affine.scale(em.getWidth(), em.getHeight()));
        double skew = toMm.a() * toMm.c() + toMm.b() * toMm.d();
        boolean square = toMm.determinant() > 0 && Math.abs(skew) <= 1e-6 * toMm.determinant();
        Drawing.Lettered words = new Drawing.Lettered(trim.texts.get(element.getAttribute(SvgTrim.WORDS)), toMm);
        if (!square || !near(Path.box(words.bounds())) || words.bounds().shorter() < 0.1) trim.miss("text");
        else if (name(element).isEmpty()) {
            things.add(new Thing(words.letters().spelling().text(), group(element), words));
        } else {
            put(element, words);
        }
    }

    /** Whether all of it is where a sheet could be. */
    private static boolean near(Path path) {
        boolean[] near = {true};
        path.draw(new Path.Pen<RuntimeException>() {
            @Override
            public void move(Point to) {
                near[0] &= Math.abs(to.x()) <= Seat.LARGEST && Math.abs(to.y()) <= Seat.LARGEST;
            }

            @Override
            public void line(Point to) {
                move(to);
            }

            @Override
            public void cubic(Point control1, Point control2, Point to) {
                move(control1);
                move(control2);
                move(to);
            }

            @Override
            public void close() {}
        });
        return near[0];
    }

    private static boolean straight(Path path) {
        return path.segments().stream().filter(Path.Segment.Move.class::isInstance).count() == 1 && path.segments().stream()
                .filter(Path.Segment.Line.class::isInstance).count() == 1 && path.segments().size() <= 3
                && path.segments().stream().noneMatch(Path.Segment.Cubic.class::isInstance);
    }

    private static List<Point> ends(Path path) {
        List<Point> ends = new ArrayList<>();
        for (Path.Segment step : path.segments()) {
            if (step instanceof Path.Segment.Move move) ends.add(move.to());
            if (step instanceof Path.Segment.Line line) ends.add(line.to());
        }
        return ends;
    }

    /** A rim as our own deliveries draw it belongs to the form before it. */
    private void rim(ShapeNode node, AffineTransform map, Element element) {
        int last = things.size() - 1;
        Optional<Rim> line = line(node, map);
        if (last < 0 || line.isEmpty() || !(things.get(last).kind() instanceof Form form)) return;
        // One inside or outside is drawn twice as wide and clipped; what lies far around is seen beside one outside.
        boolean clipped = node.getClip() != null;
        boolean outside = clipped && node.getClip().getClipPath().getBounds2D().getWidth() > 90_000;
        Rim drawn = line.get();
        Rim rim = new Rim(clipped ? drawn.width() / 2 : drawn.width(), drawn.colour(), clipped ? outside ? Rim.Side.OUTSIDE
                : Rim.Side.INSIDE
                : Rim.Side.CENTRED, drawn.dash(), drawn.join());
        Path edge = new Path(Path.of(node.getShape().getPathIterator(map)).segments());
        things.set(last, new Thing(things.get(last).name(), things.get(last).group(), form.rimmed(rim, edge)));
    }

    private static Optional<Rim> line(ShapeNode node, AffineTransform map) {
        StrokeShapePainter stroke = stroke(node.getShapePainter());
        if (stroke == null || !(stroke.getStroke() instanceof BasicStroke line)) return Optional.empty();
        Paint paint = stroke.getPaint();
        Colour colour = paint instanceof Color plain ? new Colour(plain.getRGB() & 0xFFFFFF) : Rim.RULE.colour();
        double width = line.getLineWidth() * Math.sqrt(Math.abs(map.getDeterminant()));
        if (!(width > 0)) return Optional.empty();
        Rim.Join join = line.getLineJoin() == BasicStroke.JOIN_ROUND ? Rim.Join.ROUND : line.getLineJoin() == BasicStroke.JOIN_BEVEL
                ? Rim.Join.BEVEL : Rim.Join.MITER;
        return Optional.of(new Rim(Math.min(width, Rim.WIDEST), colour, Rim.Side.CENTRED, Rim.Dash.SOLID, join));
    }

    private static StrokeShapePainter stroke(ShapePainter painter) {
        if (painter instanceof StrokeShapePainter stroke) return stroke;
        if (painter instanceof CompositeShapePainter several)
            for (int i = 0; i < several.getShapePainterCount(); i++)
                if (several.getShapePainter(i) instanceof StrokeShapePainter stroke) return stroke;
        return null;
    }

    private void add(Element element, Path path, Shape shape, List<Shown> pictures) {
        if (path.empty() || path.bounds().shorter() < FLAT) trim.miss("form without an area");
        else put(element, new Form(shape, pictures, Optional.empty()));
    }

    private void put(Element element, Drawing.Kind kind) {
        BadInput.unless(things.size() < MOST_FORMS, "svg", "This file has more than " + MOST_FORMS + " forms.");
        things.add(new Thing(name(element), group(element), kind));
    }

    /** Its title, else what it is labelled, else its id; those of a group that is one element by itself hold for it. */
    private static String name(Element element) {
        for (Node at = element; at instanceof Element one && !one.getLocalName().equals("svg"); at = at.getParentNode()) {
            for (Node child = one.getFirstChild(); child != null; child = child.getNextSibling()) {
                if ("title".equals(child.getLocalName()) && !child.getTextContent().isBlank()) return child.getTextContent().strip();
            }
            for (int i = 0; i < one.getAttributes().getLength(); i++) {
                Node label = one.getAttributes().item(i);
                String name = label.getLocalName() == null ? label.getNodeName() : label.getLocalName();
                if ((name.equals("label") || name.equals("aria-label")) && !label.getNodeValue().isBlank()) return label.getNodeValue()
                        .strip();
            }
            if (!one.getAttribute("id").isBlank()) return one.getAttribute("id").strip();
            if (!(at.getParentNode() instanceof Element parent) || !parent.getLocalName().equals("g") || several(parent)) break;
        }
        return "";
    }

    private static boolean several(Element group) {
        int count = 0;
        for (Node child = group.getFirstChild(); child != null; child = child.getNextSibling())
            if (child instanceof Element part && !List.of("title", "desc", "clipPath", "defs").contains(part.getLocalName())) count++;
        return count > 1 && !group.getAttribute("class").equals("panel");
    }

    private int group(Element element) {
        for (Node at = element.getParentNode(); at instanceof Element one; at = at.getParentNode())
            if ("g".equals(one.getLocalName()) && several(one)) return groups.computeIfAbsent(one, any -> groups.size() + 1);
        return 0;
    }

    /** Groups of one are none; a name of several lines names several things in turn. */
    private static List<Thing> named(List<Thing> things) {
        Map<Integer, Integer> sizes = new HashMap<>();
        Map<String, Integer> used = new HashMap<>();
        for (Thing thing : things) sizes.merge(thing.group(), 1, Integer::sum);
        List<Thing> out = new ArrayList<>();
        for (Thing thing : things) {
            String[] names = thing.name().split("\n");
            String name = names.length < 2 ? thing.name() : names[Math.min(names.length, used.merge(thing.name(), 1, Integer::sum)) - 1];
            out.add(new Thing(name, sizes.get(thing.group()) > 1 ? thing.group() : 0, thing.kind()));
        }
        return out;
    }

    private static Affine affine(AffineTransform map) {
        return new Affine(map.getScaleX(), map.getShearY(), map.getShearX(), map.getScaleY(), map.getTranslateX(), map.getTranslateY());
    }

    /** Whoever Batik asks: nothing is fetched, nothing runs, nothing is shown. */
    private static final class Agent extends UserAgentAdapter {
        @Override
        public ScriptSecurity getScriptSecurity(String type, ParsedURL script, ParsedURL document) {
            return new NoLoadScriptSecurity(type);
        }

        @Override
        public void checkLoadScript(String type, ParsedURL script, ParsedURL document) {
            throw new SecurityException("no scripts");
        }

        @Override
        public ExternalResourceSecurity getExternalResourceSecurity(ParsedURL resource, ParsedURL document) {
            return new NoLoadExternalResourceSecurity();
        }

        @Override
        public void checkLoadExternalResource(ParsedURL resource, ParsedURL document) {
            throw new SecurityException("nothing from elsewhere");
        }

        @Override
        public Dimension2D getViewportSize() {
            return new Dimension(1000, 1000);
        }

        @Override
        public void displayError(String message) {}

        @Override
        public void displayError(Exception e) {}

        @Override
        public void displayMessage(String message) {}
    }
}
