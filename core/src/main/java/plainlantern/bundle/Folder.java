package plainlantern.bundle;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import plainlantern.asking.BadInput;
import plainlantern.picture.FileKind;
import plainlantern.picture.Imported;
import plainlantern.picture.PictureReader;
import plainlantern.picture.Sha256;
import plainlantern.rendering.FileNames;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Treatment;

/** The pictures of a folder, by their names; numbers in these count as numbers. */
final class Folder {
    private final Map<String, Path> files = new LinkedHashMap<>();
    private final List<Picture> pictures = new ArrayList<>();

    /** Reads each of them once; throws {@link BadInput} where one cannot be used. */
    static Folder read(Path folder) throws IOException {
        BadInput.unless(Files.isDirectory(folder), "series", "There is no folder " + folder + ".");
        Folder all = new Folder();
        try (Stream<Path> there = Files.list(folder)) {
            List<Path> found = there.filter(Files::isRegularFile).filter(file -> FileKind.claimedBy(file.getFileName().toString())
                    .isPresent())
                    .sorted(Comparator.comparing(file -> counted(file.getFileName().toString()))).toList();
            for (Path file : found) all.add(file);
        }
        BadInput.unless(!all.pictures.isEmpty(), "series", "There is no picture in " + folder + ".");
        return all;
    }

    /** The name with its numbers as wide as each other: 9 comes before 10. */
    static String counted(String name) {
        StringBuilder out = new StringBuilder();
        for (String part : name.toLowerCase(Locale.ROOT).split("(?<=\\d)(?=\\D)|(?<=\\D)(?=\\d)")) {
            out.append(part.matches("\\d{1,17}") ? "0".repeat(18 - part.length()) + part : part);
        }
        return out.toString();
    }

    private void add(Path file) throws IOException {
        String name = file.getFileName().toString();
        BadInput.unless(Files.size(file) <= PictureReader.MOST_BYTES, "series", name + " is larger than 80 MB.");
        byte[] bytes = Files.readAllBytes(file);
        String sha = Sha256.of(bytes);
        if (files.putIfAbsent(sha, file) != null) return;
        Imported imported = Imported.of(name, bytes);
        pictures.add(new Picture(sha, FileNames.bare(name, "Picture", 80), imported.file().width(), imported.file().height(),
                imported.focal(),
                imported.file().taken(), imported.foot(), Treatment.NONE));
    }

    List<Picture> pictures() {
        return pictures;
    }

    boolean has(String picture) {
        return files.containsKey(picture);
    }

    /** A picture's file. */
    byte[] original(String picture) {
        try {
            return Files.readAllBytes(files.get(picture));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
