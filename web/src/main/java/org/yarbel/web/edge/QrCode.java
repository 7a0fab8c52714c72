package org.yarbel.web.edge;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.io.Serializable;
import java.util.Map;

/**
 * An address as a square that a phone's camera reads (ISO/IEC 18004), as the path of a picture.
 *
 * @param size how many squares it is wide, with the quiet ones around it
 * @param path the dark ones, each a unit wide
 */
public record QrCode(int size, String path) implements Serializable {
  private static final int QUIET = 4;

  /** The picture of a text. */
  public static QrCode of(String text) {
    BitMatrix dots = dots(text);
    StringBuilder path = new StringBuilder();
    for (int y = 0; y < dots.getHeight(); y++) {
      int x = 0;
      while (x < dots.getWidth()) {
        int end = x;
        while (end < dots.getWidth() && dots.get(end, y)) {
          end++;
        }
        if (end > x) {
          path.append('M').append(x).append(' ').append(y).append('h').append(end - x).append("v1h-").append(end - x).append('z');
        }
        x = Math.max(end, x + 1);
      }
    }
    return new QrCode(dots.getWidth(), path.toString());
  }

  /** The same for a window of text: two rows a line, dark on light. */
  public static String inText(String text) {
    BitMatrix dots = dots(text);
    StringBuilder lines = new StringBuilder();
    for (int y = 0; y < dots.getHeight(); y += 2) {
      for (int x = 0; x < dots.getWidth(); x++) {
        boolean upper = dots.get(x, y);
        boolean lower = y + 1 < dots.getHeight() && dots.get(x, y + 1);
        lines.append(block(upper, lower));
      }
      lines.append('\n');
    }
    return lines.toString();
  }

  /** Windows of text are dark as a rule: what is light in the picture is drawn. */
  private static char block(boolean upper, boolean lower) {
    if (upper) {
      return lower ? ' ' : '▄';
    }
    return lower ? '▀' : '█';
  }

  private static BitMatrix dots(String text) {
    try {
      return new QRCodeWriter().encode(text, BarcodeFormat.QR_CODE, 0, 0,
          Map.of(EncodeHintType.MARGIN, QUIET, EncodeHintType.ERROR_CORRECTION, ErrorCorrectionLevel.M));
    } catch (WriterException tooLong) {
      throw new IllegalArgumentException(tooLong);
    }
  }
}
