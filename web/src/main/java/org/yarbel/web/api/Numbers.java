package org.yarbel.web.api;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;
import org.yarbel.core.notation.Basis;

/** Numbers as they come in and go out: ranges are refused with the field's name, answers rounded to 0.01. */
final class Numbers {
  private static final Mass MOST_LOAD = Mass.of("1000", MassUnit.KG);

  private Numbers() {}

  static MassUnit unit(@Nullable String symbol) {
    if ("kg".equals(symbol)) {
      return MassUnit.KG;
    }
    if ("lb".equals(symbol)) {
      return MassUnit.LB;
    }
    throw new NotAsDescribed("The unit must be kg or lb.");
  }

  /** A load over 0 and at most 1000 kg. */
  static Mass load(String name, BigDecimal amount, MassUnit unit) {
    Mass mass = atLeastNothing(name, amount, unit);
    if (mass.isZero()) {
      throw new OutOfRange("The " + name + " must be over 0 but was 0.");
    }
    return mass;
  }

  /** A load from 0 to 1000 kg. */
  static Mass atLeastNothing(String name, BigDecimal amount, MassUnit unit) {
    if (amount.signum() < 0 || amount.compareTo(BigDecimal.valueOf(10_000)) > 0
        || Mass.of(amount, unit).compareTo(MOST_LOAD) > 0) {
      throw new OutOfRange("The " + name + " must be from 0 to 1000 kg.");
    }
    return Mass.of(amount, unit);
  }

  static @Nullable Mass optionalLoad(String name, @Nullable BigDecimal amount, MassUnit unit) {
    return amount == null ? null : load(name, amount, unit);
  }

  static <T> T required(String name, @Nullable T value) {
    if (value == null) {
      throw new NotAsDescribed("The field " + name + " is missing.");
    }
    return value;
  }

  /** The constant named in small letters; by its API key for a basis. */
  static <E extends Enum<E>> E one(Class<E> type, String name, @Nullable String value, E otherwise) {
    if (value == null) {
      return otherwise;
    }
    List<String> known = new ArrayList<>();
    for (E constant : type.getEnumConstants()) {
      String key = constant instanceof Basis basis ? basis.key() : constant.name().toLowerCase(Locale.ROOT);
      if (key.equals(value)) {
        return constant;
      }
      known.add(key);
    }
    throw new NotAsDescribed("The " + name + " must be one of: " + String.join(", ", known) + ".");
  }

  /** Plates as numbers of the unit they are stamped in. */
  static List<BigDecimal> plates(List<Mass> perSide) {
    return perSide.stream().map(plate -> plate.amountIn(plate.unit(), 2)).toList();
  }

  static Rpe rpe(BigDecimal value) {
    try {
      return Rpe.of(value.doubleValue());
    } catch (Refused refused) {
      throw new OutOfRange(refused.sentence());
    }
  }

  /** A number of the answer, to 0.01, without trailing zeros. */
  static BigDecimal two(double value) {
    BigDecimal rounded = BigDecimal.valueOf(value).setScale(2, RoundingMode.HALF_EVEN).stripTrailingZeros();
    return rounded.scale() < 0 ? rounded.setScale(0) : rounded;
  }

  static @Nullable BigDecimal two(@Nullable Mass mass, MassUnit unit) {
    return mass == null ? null : mass.amountIn(unit, 2);
  }
}
