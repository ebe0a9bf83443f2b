package pemblar.app.account.second;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import java.util.Map;

/**
 * A text as a square of squares (ISO/IEC 18004), to be read by a camera.
 *
 * @param side squares along one side, with four of margin on each
 * @param path of all dark squares, one unit each
 */
public record QrCode(int side, String path) {
    static QrCode of(String text) {
        try {
            BitMatrix dark =
                    new QRCodeWriter().encode(text, BarcodeFormat.QR_CODE, 0, 0, Map.of(EncodeHintType.MARGIN, 4));
            StringBuilder path = new StringBuilder();
            for (int y = 0; y < dark.getHeight(); y++)
                for (int x = 0; x < dark.getWidth(); x++)
                    if (dark.get(x, y))
                        path.append('M').append(x).append(' ').append(y).append("h1v1h-1z");
            return new QrCode(dark.getWidth(), path.toString());
        } catch (WriterException e) {
            throw new IllegalArgumentException("too long for a square", e);
        }
    }
}
