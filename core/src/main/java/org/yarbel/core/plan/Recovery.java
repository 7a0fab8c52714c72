package org.yarbel.core.plan;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.mass.Mass;

/**
 * How a lift dips after a session and comes back: f(t) = −d·(1 − t/T)·e^(−t/T), t in days, d the session's load over the
 * lifter's median hard session of that lift. Our own model: it compares days of a week and promises nothing. Women tend to
 * bear more volume, less so in heavy classes (common practice); the model leaves that to the coach.
 */
public final class Recovery {
  private static final double LONGER = 1.1;
  private static final double SHORTER = 0.9;
  private static final double LEAST = 0.6;
  private static final double MOST = 1.6;
  private static final double LIGHTEST = 0.3;
  private static final double HEAVIEST = 1.5;

  private Recovery() {}

  /** What recovers, each with its days. Our own figures. */
  public enum Quality {
    TECHNIQUE("technique", 1),
    MUSCLE("muscle", 2.5),
    FORCE("force", 5),
    CONNECTIVE_TISSUE("connective tissue", 7);

    private final String word;
    private final double days;

    Quality(String word, double days) {
      this.word = word;
      this.days = days;
    }

    /** The words a person reads: {@code connective tissue}. */
    public String word() {
      return word;
    }
  }

  /** What makes recovery longer or shorter. Common practice; the size of the effect is our own. */
  public enum Modifier {
    HEAVIER(true), TALLER(true), STRONGER(true), ADVANCED(true), OLDER(true), LOW_BAR(true), CONVENTIONAL(true), WIDE_GRIP(true),
        PEAKING(true),
    LIGHTER(false), SHORTER(false), NEWER(false), SUMO(false), HIGH_BAR(false), FRONT(false), CLOSE_GRIP(false);

    private final boolean lengthens;

    Modifier(boolean lengthens) {
      this.lengthens = lengthens;
    }

    /** The words a person reads: {@code low bar}. */
    public String word() {
      return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    public boolean lengthens() {
      return lengthens;
    }

    private static final int OLD = 40;
    private static final int TALL_MM = 1850;
    private static final int SHORT_MM = 1650;
    private static final double HEAVY_KG = 105;
    private static final double LIGHT_KG = 66;

    /**
     * What holds for a lifter and the way they lift; what is null is not known and changes nothing. Our own bounds: heavy
     * from 105 kg, light to 66, tall from 185 cm, short to 165, older from 40 years.
     *
     * @param mostly the key of the variation that is trained most
     */
    public static Set<Modifier> of(@Nullable Mass bodyMass, @Nullable Integer heightMm, @Nullable Integer age, @Nullable Level level,
        boolean veryStrong,
        boolean peaking, String mostly) {
      Set<Modifier> all = EnumSet.noneOf(Modifier.class);
      double kg = bodyMass == null ? Double.NaN : bodyMass.nanograms() / 1e12;
      add(all, HEAVIER, kg >= HEAVY_KG);
      add(all, LIGHTER, kg <= LIGHT_KG);
      add(all, TALLER, heightMm != null && heightMm >= TALL_MM);
      add(all, SHORTER, heightMm != null && heightMm <= SHORT_MM);
      add(all, OLDER, age != null && age >= OLD);
      add(all, ADVANCED, level == Level.ADVANCED);
      add(all, NEWER, level == Level.BEGINNER);
      add(all, STRONGER, veryStrong);
      add(all, PEAKING, peaking);
      Modifier technique = switch (mostly) {
        case "sumo-deadlift" -> SUMO;
        case "deadlift" -> CONVENTIONAL;
        case "high-bar-squat" -> HIGH_BAR;
        case "front-squat" -> FRONT;
        case "squat" -> LOW_BAR;
        case "wide-grip-bench" -> WIDE_GRIP;
        case "close-grip-bench" -> CLOSE_GRIP;
        default -> null;
      };
      if (technique != null) {
        all.add(technique);
      }
      return all;
    }

    private static void add(Set<Modifier> all, Modifier modifier, boolean holds) {
      if (holds) {
        all.add(modifier);
      }
    }
  }

  /**
   * A session of a lift.
   *
   * @param day counted from any day on, with fractions
   * @param depth d, kept within 0.3 and 1.5
   */
  public record Session(double day, double depth) {
    public Session {
      depth = Math.min(Math.max(depth, LIGHTEST), HEAVIEST);
    }
  }

  /** T: the days of a quality for a lift and a lifter. */
  public static double days(Quality quality, Movement movement, Set<Modifier> modifiers) {
    double factor = 1;
    for (Modifier modifier : modifiers) {
      factor *= modifier.lengthens ? LONGER : SHORTER;
    }
    return quality.days * ofLift(movement) * Math.min(Math.max(factor, LEAST), MOST);
  }

  private static double ofLift(Movement movement) {
    return switch (movement) {
      case DEADLIFT -> 1.3;
      case BENCH, PRESS -> 0.7;
      case SQUAT, OTHER -> 1;
    };
  }

  /** Where a quality stands at a time: 0 rested, below it tired, above it a little better than before. */
  public static double at(double time, List<Session> sessions, double days) {
    double sum = 0;
    for (Session session : sessions) {
      double t = (time - session.day()) / days;
      sum += t < 0 ? 0 : -session.depth() * (1 - t) * Math.exp(-t);
    }
    return sum;
  }

  /** The middle of loads: what a usual hard session comes to; 0 without any. */
  public static double median(double[] loads) {
    double[] sorted = loads.clone();
    Arrays.sort(sorted);
    int middle = sorted.length / 2;
    if (sorted.length == 0) {
      return 0;
    }
    return sorted.length % 2 == 1 ? sorted[middle] : (sorted[middle - 1] + sorted[middle]) / 2;
  }
}
