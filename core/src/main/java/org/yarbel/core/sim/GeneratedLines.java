package org.yarbel.core.sim;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.random.RandomGenerator;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.Load;
import org.yarbel.core.notation.Option;
import org.yarbel.core.notation.Part;
import org.yarbel.core.notation.Reps;
import org.yarbel.core.notation.RpeTarget;
import org.yarbel.core.notation.Work;
import org.yarbel.core.notation.WorkKind;
import org.yarbel.core.notation.WorkLine;

/** Lines of every shape the grammar allows, and damaged ones, for the tests and benchmarks of the notation. */
public final class GeneratedLines {
  private static final String NOISE = "5x@-%;+. ,kglbtopAMRAP:>/0123456789\u0000é\uD83D×−\u00a0";

  private GeneratedLines() {}

  /** A line that the grammar allows. */
  public static WorkLine line(RandomGenerator random) {
    List<Part> parts = new ArrayList<>();
    int count = 1 + random.nextInt(4);
    for (int i = 0; i < count; i++) {
      parts.add(part(random, parts.stream().anyMatch(Part::loaded)));
    }
    return new WorkLine(parts);
  }

  /** The text of a line with one to four characters swapped for noise, put in or taken out. */
  public static String damaged(RandomGenerator random) {
    StringBuilder typed = new StringBuilder(line(random).toString());
    for (int n = random.nextInt(4); n >= 0 && !typed.isEmpty(); n--) {
      int at = random.nextInt(typed.length());
      char noise = NOISE.charAt(random.nextInt(NOISE.length()));
      switch (random.nextInt(3)) {
        case 0 -> typed.setCharAt(at, noise);
        case 1 -> typed.insert(at, noise);
        default -> typed.deleteCharAt(at);
      }
    }
    return typed.toString();
  }

  private static @Nullable RpeTarget rating(RandomGenerator random, WorkKind.Ratings ratings) {
    if (ratings == WorkKind.Ratings.NONE) {
      return null;
    }
    if (ratings == WorkKind.Ratings.ONE_NEEDED) {
      return new RpeTarget(rpe(random, 12), null);
    }
    if (random.nextBoolean()) {
      return null;
    }
    return ratings == WorkKind.Ratings.ONE ? new RpeTarget(rpe(random, 12), null) : target(random);
  }

  private static Part part(RandomGenerator random, boolean afterLoaded) {
    Work work = random.nextInt(3) == 0 ? new Work.SetsOfReps(sets(random), reps(random)) : work(random);
    WorkKind kind = work.kind();
    boolean open = work instanceof Work.SetsOfReps plain && plain.reps() instanceof Reps.Open;
    RpeTarget rpe = open ? null : rating(random, kind.ratings());
    Load load = switch (kind.loads()) {
      case NONE -> null;
      case SHARE_OR_MASS -> random.nextBoolean() ? percent(random) : new Load.OfMass(mass(random));
      case NO_DROP -> load(random, false);
      case ANY -> load(random, afterLoaded);
    };
    List<Option> options = new ArrayList<>();
    for (Option.Kind option : Option.Kind.values()) {
      boolean wanted = option.neededBy(kind) || option.on().contains(kind) && random.nextInt(4) == 0;
      boolean share = load == null ? rpe != null && kind.loadedByRpe() || kind == WorkKind.MAX : load instanceof Load.Percent;
      boolean at = share && options.stream().anyMatch(other -> other.kind().changesLoadOnTheWay());
      if (wanted && (option != Option.Kind.AT || at)) {
        options.add(option(random, option));
      }
    }
    return new Part(work, load, rpe, options);
  }

  private static int sets(RandomGenerator random) {
    return 1 + random.nextInt(50);
  }

  private static int seconds(RandomGenerator random) {
    return 1 + random.nextInt(3600);
  }

  private static Work work(RandomGenerator random) {
    int reps = 1 + random.nextInt(100);
    return switch (WorkKind.values()[random.nextInt(WorkKind.values().length)]) {
      case SETS -> new Work.SetsOfReps(sets(random), reps(random));
      case BUILD -> new Work.Build(reps);
      case MAX -> new Work.Max(reps);
      case CLUSTER -> new Work.Cluster(sets(random), reps);
      case DENSITY -> new Work.Density(reps);
      case EMOM -> new Work.Emom(sets(random), reps);
      case NEGATIVE -> new Work.Negative(sets(random), reps);
      case HOLD -> new Work.Hold(sets(random), seconds(random));
      case TIMED -> new Work.Timed(sets(random), seconds(random));
      case CARRY -> new Work.Carry(sets(random), hundredths(random, 1, 100_000),
          random.nextBoolean() ? Work.DistanceUnit.M : Work.DistanceUnit.FT);
      case SERIES -> series(random);
      case WARM -> new Work.Warm(sets(random), reps);
    };
  }

  private static Work series(RandomGenerator random) {
    MassUnit unit = random.nextBoolean() ? MassUnit.KG : MassUnit.LB;
    List<Mass> masses = new ArrayList<>();
    for (int i = random.nextInt(6); i >= 0; i--) {
      masses.add(Mass.of(hundredths(random, 1, 100_000), unit));
    }
    return new Work.Series(masses);
  }

  private static Option option(RandomGenerator random, Option.Kind kind) {
    return switch (kind) {
      case IN -> new Option.In(seconds(random));
      case GAP -> new Option.Gap(seconds(random));
      case EVERY -> new Option.Every(seconds(random));
      case REST -> new Option.Rest(seconds(random));
      case TEMPO -> new Option.Tempo(Arrays.asList(figure(random), figure(random), figure(random), figure(random)));
      case TURNS -> new Option.Turns(1 + random.nextInt(100));
      case CAP -> new Option.Cap(rpe(random, 12));
      case UNTIL -> random.nextBoolean() ? new Option.Until(rpe(random, 12), null) : new Option.Until(null, hundredths(random, 1, 9999));
      case CHAINS -> new Option.Chains(mass(random));
      case BANDS -> bands(random);
      case REVERSE -> new Option.Reverse(mass(random));
      case AT -> new Option.At(random.nextBoolean() ? Option.Point.TOP : Option.Point.BOTTOM);
    };
  }

  private static Option bands(RandomGenerator random) {
    MassUnit unit = random.nextBoolean() ? MassUnit.KG : MassUnit.LB;
    BigDecimal lockOut = hundredths(random, 1, 20_000);
    BigDecimal slack = random.nextBoolean() ? BigDecimal.ZERO : hundredths(random, 1, lockOut.movePointRight(2).intValueExact());
    return new Option.Bands(Mass.of(slack, unit), Mass.of(lockOut, unit));
  }

  private static @Nullable Integer figure(RandomGenerator random) {
    return random.nextInt(5) == 0 ? null : Integer.valueOf(random.nextInt(61));
  }

  private static Reps reps(RandomGenerator random) {
    int least = 1 + random.nextInt(99);
    return switch (random.nextInt(4)) {
      case 0 -> new Reps.Between(least, least + 1 + random.nextInt(100 - least));
      case 1 -> new Reps.AtLeast(least);
      case 2 -> new Reps.Open();
      default -> new Reps.Exactly(least);
    };
  }

  private static Rpe rpe(RandomGenerator random, int least) {
    return new Rpe(least + random.nextInt(21 - least));
  }

  private static RpeTarget target(RandomGenerator random) {
    Rpe from = new Rpe(12 + random.nextInt(8));
    return new RpeTarget(from, random.nextBoolean() ? null : rpe(random, from.halves() + 1));
  }

  private static @Nullable Load load(RandomGenerator random, boolean afterLoaded) {
    return switch (random.nextInt(afterLoaded ? 8 : 5)) {
      case 0 -> null;
      case 1 -> new Load.OfMass(mass(random));
      case 2 -> new Load.BodyMass(random.nextBoolean() ? null : mass(random));
      case 3, 4 -> percent(random);
      case 5 -> new Load.ShareOfTop(hundredths(random, 1, 7500), random.nextBoolean() ? null : hundredths(random, 7501, 15000));
      case 6 -> new Load.Drop(hundredths(random, 1, 9999), null, random.nextBoolean());
      default -> new Load.Drop(null, mass(random), random.nextBoolean());
    };
  }

  private static Load percent(RandomGenerator random) {
    String lift = random.nextInt(4) == 0 ? "front-squat" : null;
    Basis[] named = {null, Basis.TESTED, Basis.ESTIMATED, Basis.TRAINING, Basis.GOAL, Basis.TODAY};
    Basis basis = named[random.nextInt(lift == null ? 6 : 5)];
    return new Load.Percent(hundredths(random, 1, 7500), random.nextBoolean() ? null : hundredths(random, 7501, 15000), basis, lift);
  }

  private static Mass mass(RandomGenerator random) {
    return random.nextBoolean()
        ? Mass.of(hundredths(random, 1, 100_000), MassUnit.KG)
        : Mass.of(hundredths(random, 1, 220_462), MassUnit.LB);
  }

  private static BigDecimal hundredths(RandomGenerator random, int from, int to) {
    BigDecimal value = BigDecimal.valueOf(from + random.nextInt(to - from + 1), 2).stripTrailingZeros();
    return value.scale() < 0 ? value.setScale(0) : value;
  }
}
