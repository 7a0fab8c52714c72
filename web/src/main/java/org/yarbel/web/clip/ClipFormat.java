package org.yarbel.web.clip;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Optional;

/** What a clip can be, told by its first bytes. */
public enum ClipFormat {
  MP4("video/mp4", "mp4"),
  WEBM("video/webm", "webm"),
  MOV("video/quicktime", "mov");

  /** So many bytes tell. */
  static final int HEAD = 64;

  private static final byte[] EBML = {0x1a, 0x45, (byte) 0xdf, (byte) 0xa3};
  private static final int BOX_TYPE = 4;
  private static final int BRAND = 8;
  private static final int BRAND_END = 12;

  private final String media;
  private final String ending;

  ClipFormat(String media, String ending) {
    this.media = media;
    this.ending = ending;
  }

  /** Its media type: {@code video/mp4}. */
  public String media() {
    return media;
  }

  /** What its file's name ends with: {@code mp4}. */
  public String ending() {
    return ending;
  }

  /** What these first bytes begin; empty for no film, or none that is taken. */
  static Optional<ClipFormat> of(byte[] head) {
    if (head.length >= BRAND_END && "ftyp".equals(text(head, BOX_TYPE, BRAND))) {
      String brand = text(head, BRAND, BRAND_END);
      boolean picture = brand.startsWith("heic") || brand.startsWith("mif1") || brand.startsWith("avif");
      return picture ? Optional.empty() : Optional.of(brand.equals("qt  ") ? MOV : MP4);
    }
    boolean ebml = head.length >= EBML.length && Arrays.equals(Arrays.copyOf(head, EBML.length), EBML);
    return ebml && text(head, 0, head.length).contains("webm") ? Optional.of(WEBM) : Optional.empty();
  }

  private static String text(byte[] bytes, int from, int to) {
    return new String(bytes, from, to - from, StandardCharsets.ISO_8859_1);
  }
}
