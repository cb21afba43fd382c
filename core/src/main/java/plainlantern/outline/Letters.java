package plainlantern.outline;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonIgnore;
import com.fasterxml.jackson.annotation.JsonProperty;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import plainlantern.asking.BadInput;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.lettering.Face;
import plainlantern.lettering.Setting;

/**
 * Words as a form. Their outlines are kept with them, so that the same letters show where the typeface is missing. They are written as
 * SVG path data in hundred-thousandths of an em, from where the first baseline begins: at the left, in the middle or at the
 * right, as the lines stand.
 *
 * @param outlines filled by the non-zero rule: contours of script and of neighbours overlap
 */
@JsonTypeName("letters")
public record Letters(Spelling spelling, @JsonIgnore Inked outlines) implements Outline {
    /** @throws BadInput where the typeface lacks a letter, or nothing is to be seen */
    public static Letters of(Spelling spelling, Face face) {
        String missing = face.missing(spelling.text());
        BadInput.unless(missing.isEmpty(), "text", "“" + spelling.face().family() + "” has no " + missing
                + ". Choose another typeface.");
        Setting setting = spelling.setting(face);
        return of(spelling, setting.outlines(lines(spelling, setting)));
    }

    /** Each letter that is to be seen by itself, from left to right and line by line, as it is shaped and where it stands. */
    public static List<Letters> apart(Spelling spelling, Face face) {
        Setting setting = spelling.setting(face);
        List<Letters> parts = new ArrayList<>();
        for (Setting.Sign sign : setting.signs(lines(spelling, setting)))
            if (!sign.text().isBlank()) parts.add(of(spelling.saying(sign.text()), sign.outline()));
        return parts;
    }

    private static List<Setting.Line> lines(Spelling spelling, Setting setting) {
        Setting.Block block = setting.block(spelling.text(), OptionalDouble.empty());
        Point start = new Point(block.width() * (spelling.side().share() - 0.5), setting.face().ascent() - block.height() / 2);
        return setting.lines(block, block.width(), start.times(-1));
    }

    /** @param drawn in em; rounded to what is written */
    private static Letters of(Spelling spelling, Path drawn) {
        BadInput.unless(!drawn.empty(), "text", "Nothing is to be seen of these letters.");
        int steps = drawn.segments().size();
        BadInput.unless(steps <= Inked.MOST_STEPS, "text", "These letters have too many points: " + steps + "; a form takes "
                + Inked.MOST_STEPS + ".");
        return new Letters(spelling, Inked.of(drawn));
    }

    @JsonCreator
    static Letters read(@JsonProperty("spelling") Spelling spelling, @JsonProperty("d") String d) {
        BadInput.unless(spelling != null && d != null, "outline", "These letters are not whole.");
        return new Letters(spelling, Inked.read(d));
    }

    @JsonProperty("d")
    String written() {
        return outlines.d();
    }

    /** What the letters cover, em, from where the first baseline begins. */
    public Box inked() {
        return outlines.box();
    }

    /** From em, counted from where the first baseline begins, to the frame of a form of that size. */
    public Affine fromEm(double width, double height) {
        return Affine.scale(width, height).after(FreeForm.toUnit(inked()));
    }

    @Override
    public Path path(double width, double height) {
        return outlines.path(width, height);
    }

    @Override
    public String label() {
        return "letters";
    }

    @Override
    public double aspect() {
        return inked().width() / inked().height();
    }

    /** How much wider they are than the typeface has them, at a size; 1 where they are as it has them. */
    public double stretch(double width, double height) {
        return width / height / aspect();
    }

    @Override
    public Optional<Letters> letters() {
        return Optional.of(this);
    }

    /** Letters have no sides that seams could move. */
    @Override
    public Optional<List<Point>> sides(double width, double height) {
        return Optional.empty();
    }

    /** It has no lengths. */
    @Override
    public Letters scaled(double factor) {
        return this;
    }
}
