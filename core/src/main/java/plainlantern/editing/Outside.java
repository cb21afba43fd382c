package plainlantern.editing;

import java.util.List;
import java.util.Optional;
import plainlantern.sheet.Cleared;
import plainlantern.sheet.Foot;
import plainlantern.sheet.Picture;

/** What edits may need to know that is not on their sheet. */
public interface Outside {
    /**
     * Those of the pictures that belong to whoever makes the edit, told truly; throws {@link plainlantern.sheet.Gone} where one does not.
     */
    List<Picture> owned(List<Picture> pictures);

    /** Where a picture stands, as its pixels tell, without that background; empty where it covers its whole box. */
    Optional<Foot> foot(String picture, Optional<Cleared> cleared);
}
