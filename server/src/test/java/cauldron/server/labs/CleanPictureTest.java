package cauldron.server.labs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.Color;
import java.awt.color.ColorSpace;
import java.awt.image.BufferedImage;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** Pictures of sixteen bits a colour keep their colours at eight; several are cleaned at once. */
class CleanPictureTest {

    private static final int ORANGE = 0xE8A03C;

    private static byte[] deep(int width, int height, int bands, int argb) throws IOException {
        WritableRaster raster = Raster.createInterleavedRaster(DataBuffer.TYPE_USHORT, width, height, bands, null);
        Color colour = new Color(argb, true);
        int[] all = bands > 2 ? new int[] {colour.getRed(), colour.getGreen(), colour.getBlue(), colour.getAlpha()}
                : new int[] {colour.getRed(), colour.getAlpha()};
        int[] row = IntStream.range(0, width * bands).map(i -> all[i % bands] * 257).toArray();
        for (int y = 0; y < height; y++) {
            raster.setPixels(0, y, width, 1, row);
        }
        boolean clear = bands % 2 == 0;
        ComponentColorModel model = new ComponentColorModel(ColorSpace.getInstance(bands > 2 ? ColorSpace.CS_sRGB
                : ColorSpace.CS_GRAY), clear, false, clear ? 3 : 1, DataBuffer.TYPE_USHORT);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(model, raster, false, null), "png", out);
        return out.toByteArray();
    }

    private static BufferedImage read(CleanPicture clean) {
        try {
            return ImageIO.read(new ByteArrayInputStream(clean.bytes()));
        } catch (IOException e) {
            throw new AssertionError(e);
        }
    }

    @Test
    void sixteenBitsAColourBecomeEightOfTheSame() throws IOException {
        CleanPicture three = CleanPicture.of(deep(3000, 200, 3, 0xFF000000 | ORANGE));
        assertThat(three.width()).isEqualTo(CleanPicture.WIDEST);
        assertThat(three.height()).isEqualTo(93);
        assertThat(read(three).getRGB(700, 40) & 0xFFFFFF).isEqualTo(ORANGE);
        CleanPicture clear = CleanPicture.of(deep(1600, 50, 4, 0x80000000 | ORANGE));
        assertThat(read(clear).getRGB(9, 9) >>> 24).isEqualTo(0x80);
        CleanPicture grey = CleanPicture.of(deep(1600, 50, 1, 0xFF777777));
        assertThat(read(grey).getRGB(9, 9) & 0xFFFFFF).isEqualTo(0x777777);
    }

    @Test
    void severalAreCleanedAtOnceAndDamagedOnesGiveTheirRoomBack() throws IOException {
        byte[] file = deep(1600, 1000, 4, 0xFF000000 | ORANGE);
        byte[] damaged = Arrays.copyOf(file, file.length / 2);
        // More of them than would ever fit, had the damaged ones kept their room.
        IntStream.range(0, 24).parallel().forEach(i -> assertThatThrownBy(() -> CleanPicture.of(damaged))
                .isInstanceOf(IOException.class));
        List<Integer> widths = IntStream.range(0, 4).parallel().mapToObj(i -> {
            try {
                return CleanPicture.of(file).width();
            } catch (IOException e) {
                throw new AssertionError(e);
            }
        }).toList();
        assertThat(widths).containsOnly(CleanPicture.WIDEST);
    }

    @Test
    void whatIsTooLargeIsRefusedBeforeItIsUnpacked() throws IOException {
        byte[] wide = deep(8001, 1, 3, ORANGE);
        assertThatThrownBy(() -> CleanPicture.of(wide)).hasMessageContaining("8001 by 1");
    }
}
