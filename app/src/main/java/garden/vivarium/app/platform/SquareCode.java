package garden.vivarium.app.platform;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.util.Map;

/** An address as a square code (QR) that a camera reads. */
public final class SquareCode {

    private SquareCode() {}

    /**
     * The dark cells of the code, row by row, within a pale rim of two cells.
     *
     * @throws IllegalArgumentException if the address is too long
     */
    public static BitMatrix of(String address) {
        try {
            return new QRCodeWriter()
                    .encode(
                            address,
                            BarcodeFormat.QR_CODE,
                            1,
                            1,
                            Map.of(EncodeHintType.ERROR_CORRECTION, ErrorCorrectionLevel.M, EncodeHintType.MARGIN, 2));
        } catch (WriterException e) {
            throw new IllegalArgumentException("too long for a square code: " + address, e);
        }
    }

    /** The path of its dark cells, in a square of so many cells as {@link #of} has. */
    public static String path(BitMatrix cells) {
        StringBuilder path = new StringBuilder();
        for (int row = 0; row < cells.getHeight(); row++) {
            for (int column = 0; column < cells.getWidth(); column++) {
                if (cells.get(column, row)) {
                    path.append("M%d %dh1v1h-1z".formatted(column, row));
                }
            }
        }
        return path.toString();
    }
}
