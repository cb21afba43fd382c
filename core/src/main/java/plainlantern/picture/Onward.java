package plainlantern.picture;

import java.io.IOException;
import java.io.OutputStream;
import javax.imageio.stream.ImageOutputStreamImpl;

/** For writers that never look back: what they write goes on at once, where {@code ImageIO}'s own streams keep it to the end. */
final class Onward extends ImageOutputStreamImpl {
    private final OutputStream to;

    Onward(OutputStream to) {
        this.to = to;
    }

    @Override
    public void write(int one) throws IOException {
        flushBits();
        to.write(one);
        streamPos++;
    }

    @Override
    public void write(byte[] some, int from, int count) throws IOException {
        flushBits();
        to.write(some, from, count);
        streamPos += count;
    }

    @Override
    public int read() {
        throw new UnsupportedOperationException();
    }

    @Override
    public int read(byte[] some, int from, int count) {
        throw new UnsupportedOperationException();
    }
}
