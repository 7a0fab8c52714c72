package org.yarbel.core.notation;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.random.RandomGenerator;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/** Lines of every shape the grammar allows, for round trips. */
public final class GeneratedLines {
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

  private static Part part(RandomGenerator random, boolean afterLoaded) {
    Reps reps = reps(random);
    boolean rated = random.nextBoolean() && !(reps instanceof Reps.Open);
    List<Option> options = new ArrayList<>();
    if (random.nextBoolean()) {
      options.add(new Option.Rest(1 + random.nextInt(3600)));
    }
    if (random.nextBoolean()) {
      options.add(new Option.Tempo(Arrays.asList(figure(random), figure(random), figure(random), figure(random))));
    }
    if (random.nextBoolean()) {
      options.add(new Option.Cap(rpe(random, 12)));
    }
    return new Part(new Work.SetsOfReps(1 + random.nextInt(50), reps), load(random, afterLoaded),
        rated ? target(random) : null, options);
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
