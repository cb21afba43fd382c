package plainlantern;

import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.io.ByteArrayOutputStream;
import java.io.File;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.zip.CRC32;
import javax.imageio.ImageIO;

/** Pictures made for tests, comparisons of pictures, and the independent programs that we compare with. */
public final class Painted {
    private Painted() {}

    /** Soft gradients, hard edges, fine lines and a little noise: something of all that photographs have. */
    public static BufferedImage scene(int width, int height, int type) {
        BufferedImage image = new BufferedImage(width, height, type);
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setPaint(new GradientPaint(0, 0, new Color(0x5E6A9C), width, height, new Color(0xFFD9A0)));
        g.fillRect(0, 0, width, height);
        Random random = new Random(7);
        for (int i = 0; i < 60; i++) {
            g.setColor(new Color(random.nextInt(0xFFFFFF)));
            int size = Math.max(4, width / 20 + random.nextInt(width / 8 + 1));
            g.fillOval(random.nextInt(width), random.nextInt(height), size, size);
            g.drawLine(random.nextInt(width), random.nextInt(height), random.nextInt(width), random.nextInt(height));
        }
        g.dispose();
        return image;
    }

    public static byte[] encoded(BufferedImage image, String kind) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            if (!ImageIO.write(image, kind, out)) throw new IllegalStateException("no writer for " + kind);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
        return out.toByteArray();
    }

    /** A JPEG with nothing but EXIF tag 0x0112 put behind its start. */
    public static byte[] withOrientation(byte[] jpeg, int orientation) {
        byte[] segment = {(byte) 0xFF, (byte) 0xE1, 0, 34, 'E', 'x', 'i', 'f', 0, 0, 'I', 'I', 42, 0, 8, 0, 0, 0,
            1, 0, 0x12, 1, 3, 0, 1, 0, 0, 0, (byte) orientation, 0, 0, 0, 0, 0, 0, 0};
        byte[] out = new byte[jpeg.length + segment.length];
        System.arraycopy(jpeg, 0, out, 0, 2);
        System.arraycopy(segment, 0, out, 2, segment.length);
        System.arraycopy(jpeg, 2, out, 2 + segment.length, jpeg.length - 2);
        return out;
    }

    /** A PNG with one more chunk behind its head. */
    public static byte[] chunked(byte[] png, String name, byte[] data) {
        byte[] named = ByteBuffer.allocate(4 + data.length).put(name.getBytes(StandardCharsets.US_ASCII)).put(data).array();
        CRC32 check = new CRC32();
        check.update(named);
        return ByteBuffer.allocate(png.length + data.length + 12).put(png, 0, 33).putInt(data.length).put(named)
                .putInt((int) check.getValue()).put(png, 33, png.length - 33).array();
    }

    /** Mean absolute difference over all pixels and colours, of 255; both are laid on white first. */
    public static double difference(BufferedImage one, BufferedImage other) {
        if (one.getWidth() != other.getWidth() || one.getHeight() != other.getHeight()) {
            throw new AssertionError(one.getWidth() + "x" + one.getHeight() + " and " + other.getWidth() + "x" + other.getHeight());
        }
        byte[] a = onWhite(one);
        byte[] b = onWhite(other);
        long sum = 0;
        for (int i = 0; i < a.length; i++) sum += Math.abs((a[i] & 0xFF) - (b[i] & 0xFF));
        return (double) sum / a.length;
    }

    /** How far the two are apart at most in any channel of any pixel, of 255; on white. */
    public static int worst(BufferedImage one, BufferedImage other) {
        byte[] a = onWhite(one);
        byte[] b = onWhite(other);
        if (a.length != b.length) throw new AssertionError("sizes differ");
        int worst = 0;
        for (int i = 0; i < a.length; i++) worst = Math.max(worst, Math.abs((a[i] & 0xFF) - (b[i] & 0xFF)));
        return worst;
    }

    private static byte[] onWhite(BufferedImage image) {
        BufferedImage out = new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_3BYTE_BGR);
        out.createGraphics().drawImage(image, 0, 0, Color.WHITE, null);
        return ((DataBufferByte) out.getRaster().getDataBuffer()).getData();
    }

    /** Runs an independent program, which must end well, and answers what it printed. */
    public static String run(File folder, String... command) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(command).directory(folder).redirectErrorStream(true).start();
        String said = new String(process.getInputStream().readAllBytes());
        if (!process.waitFor(120, TimeUnit.SECONDS) || process.exitValue() != 0) {
            throw new IllegalStateException(String.join(" ", command) + ": " + said);
        }
        return said;
    }
}
