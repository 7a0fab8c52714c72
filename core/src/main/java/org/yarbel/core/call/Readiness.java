package org.yarbel.core.call;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.log.CheckIn;

/**
 * How ready somebody is for a session, 0 to 100: 50 + 10·Σz, each z within ±1. Our own default. What is not known counts as nothing,
 * and is said.
 *
 * @param value 0 to 100
 * @param parts what it is made of
 */
public record Readiness(int value, List<Part> parts) {
  private static final int MIDDLE = 50;
  private static final int EACH = 10;
  private static final int EXPOSURES = 3;
  private static final int DAYS = 14;
  private static final double MIDDLE_ANSWER = 3;
  /** Six hours are a middling night, four and less the worst, eight and more the best. Our own choice. */
  private static final double MIDDLE_HALVES = 12;
  private static final double HALVES = 4;

  /**
   * One of its parts.
   *
   * @param z within ±1; not a number where it is not known
   */
  public record Part(String words, double z) {
    /** Whether anything is known of it. */
    public boolean known() {
      return !Double.isNaN(z);
    }
  }

  /** Of a lifter on the day of the picture. */
  public static Readiness of(Picture picture) {
    List<Part> parts = new ArrayList<>(before(picture));
    CheckIn said = picture.answers(picture.today()).map(Picture.Answers::said).orElse(null);
    parts.addAll(answers(said));
    return of(parts);
  }

  /** Those that are known before the day is asked about. */
  static List<Part> before(Picture picture) {
    return List.of(new Part("ratings against what was asked", ratings(picture)), new Part("minimums made", misses(picture)),
        new Part("the estimate against two weeks ago", estimate(picture)));
  }

  /** Those that today's answers are; what a card works out by itself, the rest being known beforehand. */
  public static List<Part> answers(@Nullable CheckIn said) {
    return List.of(new Part("joints", answer(said == null ? null : said.joints())),
        new Part("energy", answer(said == null ? null : said.energy())), new Part("sleep", sleep(said == null ? null : said.sleep())));
  }

  /** From its parts. */
  public static Readiness of(List<Part> parts) {
    return new Readiness((int) Math.round(Math.min(Math.max(points(parts), 0), 100)), List.copyOf(parts));
  }

  /** The sum that it is before it is held within 0 to 100. */
  static double points(List<Part> parts) {
    return MIDDLE + EACH * parts.stream().filter(Part::known).mapToDouble(Part::z).sum();
  }

  /** In words: {@code 34 of 100: energy −1, sleep −0.5; joints not known}. */
  public String words() {
    List<String> known = new ArrayList<>();
    List<String> unknown = new ArrayList<>();
    for (Part part : parts) {
      if (!part.known()) {
        unknown.add(part.words());
      } else if (Math.abs(part.z()) >= 0.05) {
        known.add(part.words() + " " + (part.z() < 0 ? "−" : "+") + Say.number(Math.abs(part.z())));
      }
    }
    return value + " of 100" + (known.isEmpty() ? "" : ": " + String.join(", ", known))
        + (unknown.isEmpty() ? "" : "; not known: " + String.join(", ", unknown));
  }

  private static double within(double z) {
    return Math.min(Math.max(z, -1), 1);
  }

  private static double answer(@Nullable Integer answer) {
    return answer == null ? Double.NaN : within((answer - MIDDLE_ANSWER) / 2);
  }

  private static double sleep(@Nullable Integer halves) {
    return halves == null ? Double.NaN : within((halves - MIDDLE_HALVES) / HALVES);
  }

  /** Target − rated, the mean of three exposures. */
  private static double ratings(Picture picture) {
    OptionalDouble off = lastBefore(picture).flatMap(session -> session.lines().stream()).flatMap(line -> line.sets().stream())
        .mapToDouble(Picture.Lifted::off).filter(known -> !Double.isNaN(known)).average();
    return off.isEmpty() ? Double.NaN : within(-off.getAsDouble());
  }

  private static Stream<Picture.Session> lastBefore(Picture picture) {
    return picture.lifted().stream().filter(session -> session.day().isBefore(picture.today())).limit(EXPOSURES);
  }

  /** 0.5 − missed minimums in three sessions. */
  private static double misses(Picture picture) {
    List<Picture.Session> last = lastBefore(picture).toList();
    long missed = last.stream().flatMap(session -> session.lines().stream()).flatMap(line -> line.sets().stream())
        .filter(Picture.Lifted::missed).count();
    return last.isEmpty() ? Double.NaN : within(0.5 - missed);
  }

  /** Estimate − that of 14 days ago, over two sd; the mean of the lifts that have both. */
  private static double estimate(Picture picture) {
    LocalDate then = picture.today().minusDays(DAYS);
    List<Double> moves = new ArrayList<>();
    picture.lifts().values().forEach(lift -> {
      Picture.@Nullable Point before = null;
      for (Picture.Point point : lift.points()) {
        before = point.day().isAfter(then) ? before : point;
      }
      Picture.@Nullable Point now = lift.points().isEmpty() ? null : lift.points().get(lift.points().size() - 1);
      if (before != null && now != null && now.day().isAfter(then) && !now.sd().isZero()) {
        moves.add((now.max().nanograms() - before.max().nanograms()) / (2.0 * now.sd().nanograms()));
      }
    });
    OptionalDouble mean = moves.stream().mapToDouble(Double::doubleValue).average();
    return mean.isEmpty() ? Double.NaN : within(mean.getAsDouble());
  }
}
