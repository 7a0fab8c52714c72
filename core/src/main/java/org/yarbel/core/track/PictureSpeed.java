package org.yarbel.core.track;

import java.util.ArrayList;
import java.util.List;
import org.yarbel.core.mass.Refused;

/**
 * How fast a bar went up, read from a clip: a plate of known size gives the scale, two clicks on the sleeve give height and time. Mean
 * concentric velocity = height gained / time between the frames.
 *
 * <p>The error is what one frame and two pixels make of it at the worst: the time by one frame, each click and either edge of the
 * plate by two pixels. A plate that is not square to the camera, a lens that bends and a camera that moves are not in it.
 *
 * @param velocity in m/s
 * @param error in m/s, either way
 * @param height gained, in mm
 * @param seconds between the two frames
 * @param scale in mm a pixel
 */
public record PictureSpeed(double velocity, double error, double height, double seconds, double scale) {
  /** The largest plate of a contest is so many mm across (IPF Technical Rules Book: at most 450 mm; from memory). */
  public static final double PLATE_MM = 450;
  /** A click is off by as many pixels. */
  static final double PIXELS_OFF = 2;
  /** A circle under so many pixels across gives no scale. */
  static final double LEAST_ACROSS = 20;
  /** No rep takes longer, in seconds. */
  static final double LONGEST = 20;
  /** Nobody lifts a bar higher in one rep, in mm. */
  static final double HIGHEST = 2500;
  private static final double MM_A_METRE = 1000;

  /**
   * A click on the picture, at a time of the clip.
   *
   * @param x in pixels from the left
   * @param y in pixels from the top
   * @param seconds from the start of the clip
   */
  public record Click(double x, double y, double seconds) {
    public Click {
      if (!(Double.isFinite(x) && Double.isFinite(y) && Double.isFinite(seconds)) || seconds < 0) {
        throw new Refused("A click must have a place and a time");
      }
    }
  }

  /** A place of the bar's path in mm, from where it started: to the right and up. */
  public record Place(double right, double up, double seconds) {}

  /**
   * Reads one rep.
   *
   * @param across diameter of the plate in pixels
   * @param plate its true diameter in mm
   * @param frame how long one frame stands, in seconds
   */
  public static PictureSpeed of(double across, double plate, Click start, Click end, double frame) {
    double scale = scale(across, plate);
    if (!(frame > 0 && frame <= 1)) {
      throw new Refused("A frame must stand for over 0 and at most 1 s but stands for " + frame);
    }
    double seconds = end.seconds() - start.seconds();
    if (!(seconds > frame / 2)) {
      throw new Refused("The end of the rep must come after its start");
    }
    if (seconds > LONGEST) {
      throw new Refused("A rep of over " + Math.round(LONGEST) + " s is none: were two reps clicked?");
    }
    double height = (start.y() - end.y()) * scale;
    if (!(height > 0)) {
      throw new Refused("The bar must be higher at the end than at the start: click the start first");
    }
    if (height > HIGHEST) {
      throw new Refused("The bar went up " + Math.round(height) + " mm, higher than anybody reaches: is the circle on the plate?");
    }
    double velocity = height / MM_A_METRE / seconds;
    double share = 2 * PIXELS_OFF / (start.y() - end.y()) + 2 * PIXELS_OFF / across + frame / seconds;
    return new PictureSpeed(velocity, velocity * share, height, seconds, scale);
  }

  /** Millimetres a pixel, by a plate. */
  private static double scale(double across, double plate) {
    if (!(across >= LEAST_ACROSS && across <= 100_000)) {
      throw new Refused("The circle must be at least " + Math.round(LEAST_ACROSS) + " pixels across: drag it over the whole plate");
    }
    if (!(plate >= 50 && plate <= 1000)) {
      throw new Refused("The plate must be from 50 to 1000 mm across but was " + plate);
    }
    return plate / across;
  }

  /** The path of the bar in mm from its first click. */
  public static List<Place> path(double across, double plate, List<Click> clicks) {
    double scale = scale(across, plate);
    List<Place> path = new ArrayList<>();
    for (Click click : clicks) {
      Click first = clicks.get(0);
      path.add(new Place((click.x() - first.x()) * scale, (first.y() - click.y()) * scale, click.seconds() - first.seconds()));
    }
    return path;
  }
}
