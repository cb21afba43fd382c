package plainlantern.incoming;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Base64;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.Node;
import org.w3c.dom.NodeList;
import plainlantern.asking.BadInput;
import plainlantern.lettering.FaceName;
import plainlantern.lettering.Setting;
import plainlantern.lettering.Typeface;
import plainlantern.outline.Letters;
import plainlantern.outline.Spelling;

/**
 * Takes out of a document what cannot be taken or must not be followed, and counts it; images become rectangles that are known by a mark,
 * so that nobody decodes them before they are distrusted in their turn.
 */
final class SvgTrim {
    static final String MARK = "data-image";
    static final String WORDS = "data-words";
    private static final String SVG = "http://www.w3.org/2000/svg";
    private static final String XLINK = "http://www.w3.org/1999/xlink";
    /** What goes, and what it is called where it is told of. */
    private static final Map<String, String> GONE = Map.of("script", "script", "text", "text", "foreignObject", "foreign part", "animate",
            "animation", "animateTransform", "animation", "animateMotion", "animation", "set", "animation", "video", "video", "audio",
                    "sound",
            "handler", "script");
    private static final int MOST_IMAGE = 80 << 20;

    final Map<String, byte[]> images = new LinkedHashMap<>();
    final Map<String, Letters> texts = new LinkedHashMap<>();
    final Map<String, Integer> missed = new LinkedHashMap<>();

    void trim(Document document) {
        NodeList all = document.getElementsByTagNameNS("*", "*");
        List<Element> elements = new ArrayList<>();
        for (int i = 0; i < all.getLength(); i++) elements.add((Element) all.item(i));
        for (Element element : elements) {
            String name = element.getLocalName();
            if (name.equals("text") && attached(element) && text(document, element)) continue;
            if (GONE.containsKey(name)) {
                if (attached(element)) miss(GONE.get(name));
                gone(element);
            } else if (name.equals("image")) {
                image(document, element);
            } else if (name.equals("style")) {
                if (element.getTextContent().contains("@import")) gone(element);
            } else {
                plain(element);
            }
        }
    }

    /**
     * Words become a square of an em, known by a mark, that stands where they begin; false where their typeface is not known, or they are
     * set otherwise.
     */
    private boolean text(Document document, Element text) {
        String said = text.getTextContent().strip().replaceAll("\\s+", " ");
        boolean placed = false;
        NodeList inner = text.getElementsByTagNameNS("*", "*");
        for (int i = 0; i < inner.getLength(); i++)
            for (String name : new String[] {"x", "y", "dx", "dy", "rotate"}) placed |= ((Element) inner.item(i)).hasAttribute(name);
        String family = inherited(text, "font-family").replaceAll("['\"]", "");
        Optional<Typeface> face = Stream.of(family.split(",")).flatMap(one -> Stream.of(Typeface.values())
                .filter(t -> t.label().equalsIgnoreCase(one.strip()))).findFirst();
        String size = inherited(text, "font-size").replaceFirst("px$", "");
        String at = text.getAttribute("x").strip() + " " + text.getAttribute("y").strip();
        if (said.isEmpty() || placed || face.isEmpty() || !size.matches("[0-9.]+") || !at.matches("(-?[0-9.]+)? (-?[0-9.]+)?")
                || within(text, "layers")) return false;
        String anchor = inherited(text, "text-anchor");
        Setting.Side side = anchor.equals("middle") ? Setting.Side.MIDDLE : anchor.equals("end") ? Setting.Side.RIGHT : Setting.Side.LEFT;
        String weight = inherited(text, "font-weight").replace("bold", "700").replace("normal", "400");
        FaceName name = FaceName.of(face.get(), weight.matches("[1-9]00") ? Integer.parseInt(weight) : 400);
        try {
            Spelling spelling = new Spelling(said, name, side, 1, 0);
            texts.put("text-" + (texts.size() + 1), Letters.of(spelling, face.get().face(name.weight())));
        } catch (BadInput no) {
            return false;
        }
        Element square = document.createElementNS(SVG, "rect");
        for (String kept : new String[] {"x", "y", "id", "class", "style", "transform", "clip-path", "display", "visibility"})
            if (text.hasAttribute(kept)) square.setAttribute(kept, text.getAttribute(kept));
        square.setAttribute("width", size);
        square.setAttribute("height", size);
        square.setAttribute(WORDS, "text-" + texts.size());
        text.getParentNode().replaceChild(square, text);
        return true;
    }

    private static boolean within(Element element, String kind) {
        for (Node at = element; at instanceof Element one; at = at.getParentNode()) if (one.getAttribute("class").equals(kind)) return true;
        return false;
    }

    /** A property as the nearest element that has it says, by an attribute or in its own style; empty where none does. */
    private static String inherited(Element element, String property) {
        Pattern styled = Pattern.compile("(?:^|;)\\s*" + property + "\\s*:\\s*([^;]+)");
        for (Node at = element; at instanceof Element one; at = at.getParentNode()) {
            Matcher style = styled.matcher(one.getAttribute("style"));
            if (style.find()) return style.group(1).strip();
            if (one.hasAttribute(property)) return one.getAttribute(property).strip();
        }
        return "";
    }

    void miss(String what) {
        missed.merge(what, 1, Integer::sum);
    }

    private static boolean attached(Element element) {
        for (Node at = element; at != null; at = at.getParentNode()) if (at.getNodeType() == Node.DOCUMENT_NODE) return true;
        return false;
    }

    private static void gone(Element element) {
        if (element.getParentNode() != null) element.getParentNode().removeChild(element);
    }

    /**
     * A step of no length before each smooth curve that follows one of the other kind: its control is where the pen is (SVG 2, 9.3.6 and
     * 9.3.7), but the library would mirror the other curve's.
     */
    private static String parted(String d) {
        StringBuilder out = new StringBuilder();
        char last = 'M';
        for (char c : d.toCharArray()) {
            boolean command = Character.isLetter(c) && c != 'e' && c != 'E';
            String other = !command ? "" : c == 'S' || c == 's' ? "QqTt" : c == 'T' || c == 't' ? "CcSs" : "";
            if (other.indexOf(last) >= 0) out.append("l0 0");
            if (command) last = c;
            out.append(c);
        }
        return out.toString();
    }

    /** Without effects, handlers and references that lead elsewhere. */
    private void plain(Element element) {
        if (element.getLocalName().equals("path")) element.setAttribute("d", parted(element.getAttribute("d")));
        for (String effect : new String[] {"filter", "mask"}) {
            if (element.getLocalName().equals(effect)) continue;
            if (element.hasAttribute(effect) && !element.getAttribute(effect).equals("none")) {
                miss(effect);
                element.removeAttribute(effect);
            }
        }
        for (String paint : new String[] {"fill", "stroke", "clip-path", "marker-start", "marker-mid", "marker-end"}) {
            if (element.getAttribute(paint).matches("(?s)\\s*url\\(\\s*(?!['\"]?#).*")) element.setAttribute(paint, "none");
        }
        String style = element.getAttribute("style");
        if (style.contains("filter") || style.contains("mask") || style.contains("url(") && !style.contains("url(#")) {
            for (String effect : new String[] {"filter", "mask"}) if (style.matches("(?s).*\\b" + effect + "\\s*:\\s*url.*")) miss(effect);
            element.setAttribute("style", style.replaceAll("\\b(filter|mask)\\s*:[^;]*", "").replaceAll("url\\((?!['\"]?#)[^)]*\\)",
                    "none"));
        }
        String href = href(element);
        if (!href.isEmpty() && !href.startsWith("#") && element.getLocalName().equals("use")) {
            miss("reference to another file");
            gone(element);
        } else if (href.startsWith("#")) {
            // SVG 2 writes it without a namespace.
            element.setAttributeNS(XLINK, "xlink:href", href);
        } else if (!href.isEmpty()) {
            element.removeAttributeNS(XLINK, "href");
            element.removeAttribute("href");
        }
    }

    private static String href(Element element) {
        String href = element.getAttributeNS(XLINK, "href");
        return (href.isEmpty() ? element.getAttribute("href") : href).strip();
    }

    private void image(Document document, Element image) {
        byte[] file = decoded(href(image));
        if (file == null || file.length > MOST_IMAGE) {
            miss("linked picture");
            gone(image);
            return;
        }
        String name = "image-" + (images.size() + 1);
        double[] size = size(file);
        if (size == null) {
            miss("picture of an unknown kind");
            gone(image);
            return;
        }
        images.put(name, file);
        Element box = document.createElementNS(SVG, "rect");
        for (String kept : new String[] {"x", "y", "width", "height", "id", "class", "style", "transform", "clip-path", "display",
                "visibility"})
            if (image.hasAttribute(kept)) box.setAttribute(kept, image.getAttribute(kept));
        if (!image.hasAttribute("width")) box.setAttribute("width", String.valueOf(size[0]));
        if (!image.hasAttribute("height")) box.setAttribute("height", String.valueOf(size[1]));
        box.setAttribute(MARK, name);
        box.setAttribute("data-fit", image.getAttribute("preserveAspectRatio"));
        // Its title names it.
        while (image.getFirstChild() != null) box.appendChild(image.getFirstChild());
        image.getParentNode().replaceChild(box, image);
    }

    private static byte[] decoded(String href) {
        int comma = href.indexOf(',');
        if (!href.startsWith("data:") || comma < 0 || !href.substring(0, comma).endsWith(";base64")) return null;
        try {
            return Base64.getMimeDecoder().decode(href.substring(comma + 1));
        } catch (IllegalArgumentException e) {
            return null;
        }
    }

    /** Its pixels across and down, by its head; null where it is no picture. */
    private static double[] size(byte[] file) {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) return null;
            ImageReader reader = readers.next();
            try {
                reader.setInput(in, true, true);
                return new double[] {reader.getWidth(0), reader.getHeight(0)};
            } finally {
                reader.dispose();
            }
        } catch (IOException | RuntimeException e) {
            return null;
        }
    }
}
