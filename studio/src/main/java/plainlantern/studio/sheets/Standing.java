package plainlantern.studio.sheets;

import java.util.Optional;

/**
 * A sheet's row with its neighbours in history, all read at one moment.
 *
 * @param title  of the step that led here
 * @param before whether a step is kept before this one
 * @param next   the title of the step after this one; null where there is none
 */
record Standing(SheetRow row, String title, boolean before, String next) {
    Optional<String> undo() {
        return before ? Optional.of(title) : Optional.empty();
    }

    Optional<String> redo() {
        return Optional.ofNullable(next);
    }
}
