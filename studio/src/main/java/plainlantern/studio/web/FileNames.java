package plainlantern.studio.web;

/** Names of files that people bring. */
public final class FileNames {
    private FileNames() {}

    /** "dawn-ridge" for "shots/dawn-ridge.jpg", at most so many characters; {@code otherwise} where nothing is left. */
    public static String bare(String fileName, String otherwise, int most) {
        String file = fileName.substring(Math.max(fileName.lastIndexOf('/'), fileName.lastIndexOf('\\')) + 1);
        String bare = file.replaceFirst("\\.[A-Za-z0-9]{1,5}$", "").strip();
        String name = bare.isEmpty() ? otherwise : bare;
        return name.length() > most ? name.substring(0, most) : name;
    }
}
