package plainlantern.editing.filling;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import plainlantern.asking.BadInput;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;

/**
 * Puts imported pictures on the shelf; one that is there already stays as it is. Only an import makes this edit: the
 * caller vouches that the pictures belong to the sheet's owner.
 */
@JsonTypeName("shelve")
public record ShelvePictures(List<Picture> pictures) implements FillingEdit {
    /** So many pictures one sheet can hold. */
    public static final int MOST = 2000;

    @Override
    public Sheet apply(Sheet before) {
        List<Picture> shelf = new ArrayList<>(before.shelf());
        for (Picture picture : pictures) {
            if (shelf.stream().noneMatch(p -> p.id().equals(picture.id()))) shelf.add(picture);
        }
        BadInput.unless(shelf.size() <= MOST, "pictures", "A shelf holds at most " + MOST + " pictures.");
        return before.withShelf(shelf);
    }

    @Override
    public String title(Sheet before) {
        return pictures.size() == 1 ? "Import " + pictures.get(0).name() : "Import " + pictures.size() + " pictures";
    }
}
