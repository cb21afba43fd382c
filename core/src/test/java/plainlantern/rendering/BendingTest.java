package plainlantern.rendering;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.File;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import plainlantern.Painted;
import plainlantern.Sheets;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.picture.PictureSource;
import plainlantern.scene.Scene;
import plainlantern.sheet.Bend;
import plainlantern.sheet.Element;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Through;

/** Bends are those of ImageMagick with the same numbers. */
class BendingTest {
    private static final BufferedImage PHOTO = Painted.scene(400, 400, BufferedImage.TYPE_3BYTE_BGR);
    private static final PictureSource PICTURES = (id, share) -> PHOTO;
    private static final double PPI = 127;
    /** ImageMagick counts from the middles of pixels. */
    private static final double MIDDLE = 200.5 / 400;

    private static BufferedImage painted(Bend bend) {
        Sheet shelved = new ShelvePictures(List.of(Sheets.DAWN)).apply(Sheet.empty("Tide", Unit.MM, 80, 80, PPI));
        Sheet filled = Sheets.after(shelved, "{'kind':'set-up-sheet','bleed':0}", "{'kind':'set-paper','paper':{'kind':'pictured',"
                + "'picture':'" + Sheets.DAWN.id() + "','blur':0}}", "{'kind':'add-glaze','where':'sheet'}");
        Sheet bent = filled.changing(List.of("p1"), e -> e.glaze().<Element>map(g -> g.seeing(new Through(0, 0, 0,
                Optional.ofNullable(bend)))).orElse(e));
        return RasterPainter.paint(Scene.of(bent), PPI, true, PICTURES);
    }

    private static void agrees(File folder, String name, Bend bend, String... how) throws Exception {
        String[] all = new String[how.length + 3];
        all[0] = "convert";
        all[1] = "in.png";
        System.arraycopy(how, 0, all, 2, how.length);
        all[all.length - 1] = "out.png";
        Painted.run(folder, all);
        // Its wave has nothing beyond the edges.
        BufferedImage theirs = ImageIO.read(new File(folder, "out.png")).getSubimage(0, 20, 400, 360);
        assertThat(Painted.difference(painted(bend).getSubimage(0, 20, 400, 360), theirs)).as(name).isLessThan(1.5);
    }

    /** A square wave only moves; a quarter of a wave on, a triangle's is as far as a sine's. */
    @Test
    void wavesOfOtherShapes() {
        BufferedImage flat = painted(null);
        BufferedImage square = painted(new Bend.Wave(2, 16, 90, 0, Bend.Wave.Shape.SQUARE));
        for (int y = 41; y < 360; y += 20) {
            int by = Math.floorMod(y - 200, 80) < 40 ? -10 : 10;
            if (y % 40 > 2 && y % 40 < 38) assertThat(square.getRGB(120, y)).as("%d", y).isEqualTo(flat.getRGB(120 + by, y));
        }
        BufferedImage triangle = painted(new Bend.Wave(2, 16, 90, 90, Bend.Wave.Shape.TRIANGLE));
        assertThat(triangle.getRGB(120, 200)).isEqualTo(painted(new Bend.Wave(2, 16, 90, 90, Bend.Wave.Shape.SINE)).getRGB(120, 200));
    }

    /** With a handle at each corner a mesh is the bilinear map of the corners, going forward. */
    @Test
    void aMeshOfFourIsBilinear(@TempDir File folder) throws Exception {
        ImageIO.write(painted(null), "png", new File(folder, "in.png"));
        agrees(folder, "mesh", new Bend.Mesh(2, 2, List.of(0.0, 0.0, 0.05, 0.0, -0.1, 0.1, 0.0, 0.075)), "-virtual-pixel", "mirror",
                "-distort",
                "BilinearForward", "0,0 0,0 400,0 420,0 0,400 -40,440 400,400 400,430");
    }

    /** A handle takes what lies there along with it: what was in the middle is where the handle is now. */
    @Test
    void aHandleTakesThePictureAlong() {
        BufferedImage flat = painted(null);
        List<Double> moved = new ArrayList<>(Collections.nCopies(18, 0.0));
        moved.set(8, 0.1);
        moved.set(9, -0.05);
        BufferedImage bent = painted(new Bend.Mesh(3, 3, moved));
        assertThat(Painted.difference(bent.getSubimage(239, 179, 3, 3), flat.getSubimage(199, 199, 3, 3))).isLessThan(6);
        assertThat(Painted.difference(bent.getSubimage(199, 199, 3, 3), flat.getSubimage(199, 199, 3, 3))).isGreaterThan(12);
    }

    @Test
    void asImageMagickBends(@TempDir File folder) throws Exception {
        ImageIO.write(painted(null), "png", new File(folder, "in.png"));
        agrees(folder, "twirl", new Bend.Twirl(120, MIDDLE, MIDDLE, 1), "-swirl", "-120");
        agrees(folder, "bulge", new Bend.Bulge(0.6, MIDDLE, MIDDLE, 1), "-implode", "-0.6");
        agrees(folder, "pinch", new Bend.Bulge(-0.4, MIDDLE, MIDDLE, 1), "-implode", "0.4");
        // Its wave goes up where ours goes down, and begins at the left edge: the middle is 400 / 2 / 90 waves on.
        agrees(folder, "wave", new Bend.Wave(3, 18, 0, 360 * (199.5 / 90 % 1) - 180, Bend.Wave.Shape.SINE), "-wave", "15x90", "-crop",
                "400x400+0+15", "+repage");
    }
}
