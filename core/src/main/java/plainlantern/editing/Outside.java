package plainlantern.editing;

import java.util.List;
import java.util.Optional;
import plainlantern.lettering.Face;
import plainlantern.geometry.Point;
import plainlantern.sheet.Cleared;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Foot;
import plainlantern.sheet.Levels;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Tone;
import plainlantern.sheet.Treatment;

/** What edits may need to know that is not on their sheet. */
public interface Outside {
    /**
     * Those of the pictures that belong to whoever makes the edit, told truly; throws {@link plainlantern.sheet.Gone} where one does not.
     */
    List<Picture> owned(List<Picture> pictures);

    /** The typeface that whoever makes the edit brought under that id; empty where there is none. */
    Optional<Face> face(String own);

    /** What the table of colours is called that whoever makes the edit brought under that id; empty where there is none. */
    Optional<String> table(String id);

    /** The black and the white point that make use of all lightness, for a picture that is treated so. */
    Levels evened(String picture, Treatment treatment);

    /**
     * A tone that brings a picture near another one.
     *
     * @param giver    the picture that it comes near to, treated so
     * @param taker    the picture that gets the tone, treated so far
     * @param strength how near, 0 to 1
     */
    Tone matched(String giver, Treatment given, String taker, Treatment taken, double strength);

    /**
     * The corners of the frame whose sides are the strongest edges near those of another one, in what lies beneath.
     *
     * @param but     elements that are not looked at, nor what lies in front of them
     * @param corners mm on the sheet, in turn
     * @return empty where there are no clear edges
     */
    Optional<List<Point>> edges(Sheet sheet, List<String> but, List<Point> corners);

    /** The colour of a picture, before any treatment, at a share of its width and height. */
    Colour colour(String picture, Point share);

    /** Where a picture stands, as its pixels tell, without that background; empty where it covers its whole box. */
    Optional<Foot> foot(String picture, Optional<Cleared> cleared);
}
