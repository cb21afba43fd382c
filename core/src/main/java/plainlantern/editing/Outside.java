package plainlantern.editing;

import java.util.List;
import java.util.Optional;
import plainlantern.lettering.Face;
import plainlantern.sheet.Cleared;
import plainlantern.sheet.Foot;
import plainlantern.sheet.Picture;

/** What edits may need to know that is not on their sheet. */
public interface Outside {
    /**
     * Those of the pictures that belong to whoever makes the edit, told truly; throws {@link plainlantern.sheet.Gone} where one does not.
     */
    List<Picture> owned(List<Picture> pictures);

    /** The typeface that whoever makes the edit brought under that id; empty where there is none. */
    Optional<Face> face(String own);

    /** Where a picture stands, as its pixels tell, without that background; empty where it covers its whole box. */
    Optional<Foot> foot(String picture, Optional<Cleared> cleared);
}
