package plainlantern.incoming;

import java.io.ByteArrayInputStream;
import java.io.StringReader;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import plainlantern.asking.BadInput;

/** Looks through an SVG file before it is read: how deep and how large it is, and what it declares. Nothing is fetched from anywhere. */
final class SvgGuard {
    static final int MOST_BYTES = 10_000_000;
    private static final int DEEPEST = 100;
    private static final int MOST_ELEMENTS = 50_000;
    private static final int MOST_POINTS = 100_000;
    private static final int LONGEST_ENTITY = 500;
    private static final Pattern ENTITY = Pattern.compile("<!ENTITY\\s+(%?)\\s*\\S+\\s+(SYSTEM|PUBLIC|\"[^\"]*\"|'[^']*')",
            Pattern.CASE_INSENSITIVE);

    private SvgGuard() {}

    /** @throws BadInput where it is no SVG, too large, too deep, or declares what could grow or lead elsewhere */
    static void check(String svg) {
        BadInput.unless(svg.length() <= MOST_BYTES, "svg", "This file has more than 10 MB.");
        XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        factory.setProperty(XMLInputFactory.IS_REPLACING_ENTITY_REFERENCES, false);
        factory.setXMLResolver((publicId, systemId, base, namespace) -> new ByteArrayInputStream(new byte[0]));
        declared(svg);
        try {
            scan(factory.createXMLStreamReader(new StringReader(svg)));
        } catch (XMLStreamException e) {
            int line = e.getLocation() == null ? 0 : e.getLocation().getLineNumber();
            throw new BadInput("svg", "This is no SVG file that can be read" + (line > 0 ? ": see its line " + line + "." : "."));
        }
    }

    private static void scan(XMLStreamReader in) throws XMLStreamException {
        int depth = 0;
        int elements = 0;
        long points = 0;
        while (in.hasNext()) {
            int event = in.next();
            if (event == XMLStreamConstants.END_ELEMENT) depth--;
            if (event != XMLStreamConstants.START_ELEMENT) continue;
            if (elements++ == 0) BadInput.unless(in.getLocalName().equals("svg"), "svg", "This is no SVG file.");
            BadInput.unless(++depth <= DEEPEST, "svg", "This file has more than " + DEEPEST + " groups within each other.");
            BadInput.unless(elements <= MOST_ELEMENTS, "svg", "This file has more than 50,000 elements.");
            for (String name : new String[] {"d", "points"}) {
                String data = in.getAttributeValue(null, name);
                if (data != null) points += numbers(data) / 2;
            }
            BadInput.unless(points <= MOST_POINTS, "svg", "This file has more than 100,000 points.");
        }
    }

    /** How many numbers there are in path data or a list of points. */
    private static long numbers(String data) {
        long count = 0;
        boolean inside = false;
        for (int i = 0; i < data.length(); i++) {
            char c = data.charAt(i);
            boolean digit = c >= '0' && c <= '9' || c == '.';
            if (digit && !inside) count++;
            inside = digit || inside && (c == 'e' || c == 'E');
        }
        return count;
    }

    /** Entities are words that stand for others: those of plain, short words are harmless. */
    private static void declared(String svg) {
        Matcher entity = ENTITY.matcher(svg);
        while (entity.find()) {
            String value = entity.group(2);
            boolean plain = entity.group(1).isEmpty() && value.length() <= LONGEST_ENTITY && value.indexOf('&') < 0
                    && value.indexOf('%') < 0
                    && (value.startsWith("\"") || value.startsWith("'"));
            BadInput.unless(plain, "svg", "This file declares entities that stand for others or lie elsewhere. They are not taken.");
        }
    }
}
