package org.yarbel.web.demo;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Draws a lifter who squats a bar up at a speed that is known to the frame, and lets ffmpeg make a film of it. Where there is no ffmpeg
 * there is no film.
 *
 * @param upFrames how many frames the bar takes from the bottom to the top
 */
record DemoFilm(int upFrames) {
  static final int WIDTH = 320;
  static final int HEIGHT = 240;
  static final int FPS = 30;
  /** The frame the rep begins at. */
  static final int FROM = 15;
  /** The middle of the sleeve at the bottom and at the top, in pixels from the top; it goes straight up. */
  static final int LOW = 190;
  static final int HIGH = 70;
  static final int ACROSS = 160;
  /** The plate's radius in pixels; it is 450 mm across, so that a pixel is 5 mm and the bar goes up 600 mm. */
  static final int RADIUS = 45;

  private static final double MM_A_PIXEL = 450.0 / (2 * RADIUS);
  private static final int STILL = 15;
  private static final Color GROUND = new Color(0xe7, 0xe1, 0xd5);
  private static final Color INK = new Color(0x1c, 0x22, 0x26);
  private static final Color STEEL = new Color(0x8d, 0x85, 0x76);
  private static final Logger LOG = LoggerFactory.getLogger(DemoFilm.class);

  /** How fast the bar goes up, in m/s. */
  double velocity() {
    return (LOW - HIGH) * MM_A_PIXEL / 1000 / (upFrames / (double) FPS);
  }

  /** The film as MP4; empty where nothing makes one. */
  Optional<byte[]> made() {
    try {
      Path file = Files.createTempFile("yarbel-film-", ".mp4");
      try {
        Process ffmpeg = new ProcessBuilder(List.of("ffmpeg", "-nostdin", "-loglevel", "error", "-y", "-f", "rawvideo", "-pix_fmt", "bgr24",
            "-s", WIDTH + "x" + HEIGHT, "-r", "" + FPS, "-i", "-", "-c:v", "libx264", "-preset", "veryfast", "-crf", "20", "-g", "10",
            "-pix_fmt", "yuv420p", "-movflags", "+faststart", file.toString())).redirectErrorStream(true).start();
        try (OutputStream frames = ffmpeg.getOutputStream()) {
          for (int frame = 0; frame < FROM + upFrames + STILL; frame++) {
            frames.write(drawn(frame));
          }
        }
        boolean done = ffmpeg.waitFor(60, TimeUnit.SECONDS) && ffmpeg.exitValue() == 0;
        return done ? Optional.of(Files.readAllBytes(file)) : Optional.empty();
      } finally {
        Files.deleteIfExists(file);
      }
    } catch (IOException none) {
      LOG.info("The demo goes without clips: there is no ffmpeg here ({})", none.getMessage());
      return Optional.empty();
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
      return Optional.empty();
    }
  }

  /** The sleeve's height in a frame, in pixels from the top. */
  double sleeve(int frame) {
    double share = Math.min(Math.max((frame - FROM) / (double) upFrames, 0), 1);
    return LOW - share * (LOW - HIGH);
  }

  private byte[] drawn(int frame) {
    BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_3BYTE_BGR);
    Graphics2D pen = image.createGraphics();
    pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    pen.setColor(GROUND);
    pen.fillRect(0, 0, WIDTH, HEIGHT);
    double y = sleeve(frame);
    double hip = 150 + (y - HIGH) * 0.45;
    pen.setColor(STEEL);
    pen.setStroke(new BasicStroke(9, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
    double knee = 178 + (y - HIGH) * 0.1;
    line(pen, 165, 232, 165 + (y - HIGH) * 0.35, knee);
    line(pen, 165 + (y - HIGH) * 0.35, knee, 165 - (y - HIGH) * 0.3, hip);
    line(pen, 165 - (y - HIGH) * 0.3, hip, ACROSS, y);
    pen.fillOval(ACROSS - 2, (int) Math.round(y) - 46, 24, 24);
    pen.setColor(INK);
    pen.setStroke(new BasicStroke(6));
    pen.drawOval(ACROSS - RADIUS + 3, (int) Math.round(y) - RADIUS + 3, 2 * RADIUS - 6, 2 * RADIUS - 6);
    pen.fillOval(ACROSS - 5, (int) Math.round(y) - 5, 10, 10);
    pen.drawLine(0, 236, WIDTH, 236);
    pen.dispose();
    return ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
  }

  private static void line(Graphics2D pen, double x0, double y0, double x1, double y1) {
    pen.drawLine((int) Math.round(x0), (int) Math.round(y0), (int) Math.round(x1), (int) Math.round(y1));
  }
}
