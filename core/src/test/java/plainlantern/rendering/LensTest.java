package plainlantern.rendering;

import static org.assertj.core.api.Assertions.assertThat;
import static plainlantern.rendering.VeilingTest.PHOTO;
import static plainlantern.rendering.VeilingTest.PICTURES;
import static plainlantern.rendering.VeilingTest.PPI;
import static plainlantern.rendering.VeilingTest.painted;
import static plainlantern.rendering.VeilingTest.sheet;

import java.awt.image.BufferedImage;
import java.io.File;
import java.util.List;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import plainlantern.Painted;
import plainlantern.Sheets;
import plainlantern.scene.Scene;
import plainlantern.sheet.Sheet;

/** Single pictures blurred and bent: as a glaze does it to all, and as ImageMagick does. */
class LensTest {
    /** ImageMagick's blur goes on beyond the edges as ours does. */
    @Test
    void aBlurIsTheGaussian(@TempDir File folder) throws Exception {
        ImageIO.write(PHOTO, "png", new File(folder, "in.png"));
        for (double mm : new double[] {0.6, 3}) {
            Painted.run(folder, "convert", "in.png", "-virtual-pixel", "edge", "-gaussian-blur", "0x" + mm * 5, "out.png");
            BufferedImage theirs = ImageIO.read(new File(folder, "out.png"));
            BufferedImage ours = painted(sheet("{'kind':'blur','panels':['p1'],'blur':" + mm + "}"));
            assertThat(Painted.difference(ours, theirs)).as("%s mm", mm).isLessThan(1);
        }
        // One so wide that it is made of a smaller painting.
        Painted.run(folder, "convert", "in.png", "-virtual-pixel", "edge", "-blur", "0x75", "out.png");
        BufferedImage wide = painted(sheet("{'kind':'blur','panels':['p1'],'blur':15}"));
        assertThat(Painted.difference(wide, ImageIO.read(new File(folder, "out.png")))).isLessThan(1.5);
    }

    /** A bend of the picture is that of a glaze of the same form over it; turned in its panel, too. */
    @Test
    void bendsAreThoseOfGlazes() {
        String glaze = "{'kind':'add-glaze','where':'over','panels':['p1']}";
        for (String bend : List.of("'kind':'wave','amplitude':2,'length':17,'turn':30,'phase':20,'shape':'sine'",
                "'kind':'twirl','turn':120,'x':0.4,'y':0.5,'radius':0.8",
                        "'kind':'mesh','columns':3,'rows':3,'moved':[0,0,0,0,0,0,0,0,0.1,-0.05,0,0,0,0,0,0,0,0]",
                "'kind':'bulge','strength':0.6,'x':0.5,'y':0.5,'radius':0.9")) {
            for (String lies : List.of("{'kind':'zoom-picture','panels':['p1'],'zoom':120}",
                    "{'kind':'turn-picture','panels':['p1'],'turn':20}")) {
                BufferedImage own = painted(sheet(lies, "{'kind':'bend','panels':['p1'],'bend':{" + bend + "}}"));
                BufferedImage over = painted(sheet(lies, glaze, "{'kind':'bend','panels':['p2'],'bend':{" + bend + "}}"));
                assertThat(Painted.difference(own.getSubimage(20, 20, 560, 360), over.getSubimage(20, 20, 560, 360))).as(bend)
                        .isLessThan(0.4);
            }
        }
    }

    /** What is blurred is opaque up to its edges; a veil over it is sharp; others get the same. */
    @Test
    void itGoesWithEverythingElse() {
        Sheet blurred = sheet("{'kind':'blur','panels':['p1'],'blur':4}");
        Sheet bare = Sheets.after(blurred, "{'kind':'set-paper','paper':{'kind':'none'}}");
        BufferedImage clear = RasterPainter.paint(Scene.of(bare), PPI, false, PICTURES);
        assertThat(List.of(clear.getRGB(0, 0) >>> 24, clear.getRGB(599, 399) >>> 24, clear.getRGB(300, 0) >>> 24)).containsOnly(255);
        Sheet veiled = Sheets.after(blurred, "{'kind':'veil','panels':['p1'],'part':{'kind':'stroke','dots':[[60,10,1],[60,70,1]],"
                + "'size':20,'softness':0,'strength':1}}");
        BufferedImage seen = painted(veiled);
        assertThat(seen.getRGB(300, 200) & 0xFFFFFF).isEqualTo(0xFFFFFF);
        assertThat(seen.getRGB(245, 200)).isEqualTo(painted(blurred).getRGB(245, 200));
        Sheet two = Sheets.after(blurred, "{'kind':'duplicate','panels':['p1'],'dx':0,'dy':0}", "{'kind':'blur','panels':['p2'],'blur':0}",
                "{'kind':'copy-bend','from':'p1','panels':['p1','p2']}");
        assertThat(two.holder("p2").pictures().get(0).through()).isEqualTo(blurred.holder("p1").pictures().get(0).through()).isPresent();
    }

    /** What is mounted is bent and blurred where it hangs, as by a glaze of its form; up to its edges it goes on as the picture does. */
    @Test
    void whatIsMountedIsBentWhereItHangs() {
        Sheet mounted = sheet("{'kind':'mount-here','picture':'" + Sheets.DAWN.id() + "','corners':[{'x':20,'y':10},{'x':100,'y':20},"
                + "{'x':100,'y':60},{'x':20,'y':70}]}");
        for (String how : List.of("'kind':'bend','bend':{'kind':'twirl','turn':90,'x':0.5,'y':0.5,'radius':0.6}",
                "'kind':'blur','blur':0.8")) {
            BufferedImage own = painted(Sheets.after(mounted, "{'panels':['p2']," + how + "}"));
            BufferedImage over = painted(Sheets.after(mounted, "{'kind':'add-glaze','where':'over','panels':['p2']}",
                    "{'panels':['p3']," + how + "}"));
            assertThat(Painted.difference(own, painted(mounted))).as(how).isGreaterThan(1);
            assertThat(Painted.difference(own.getSubimage(120, 120, 360, 160), over.getSubimage(120, 120, 360, 160))).as(how)
                    .isLessThan(0.5);
        }
        Sheet bare = Sheets.after(mounted, "{'kind':'blur','panels':['p2'],'blur':4}", "{'kind':'remove','panels':['p1']}",
                "{'kind':'set-paper','paper':{'kind':'none'}}");
        BufferedImage clear = RasterPainter.paint(Scene.of(bare), PPI, false, PICTURES);
        assertThat(List.of(clear.getRGB(102, 60) >>> 24, clear.getRGB(497, 200) >>> 24, clear.getRGB(90, 200) >>> 24))
                .containsExactly(255, 255, 0);
    }
}
