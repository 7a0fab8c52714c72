package org.yarbel.core.contest.strongman;

import java.math.BigDecimal;
import java.util.EnumMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.contest.strongman.EventKind.Field;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.Refused;

/**
 * What an athlete did in an event, such as 7 reps with the last of them after 52.31 s.
 *
 * @param load of a heaviest load; null of other kinds, and where none was lifted
 * @param numbers the other figures, none of them negative: reps, tries, rounds and implements are whole, metres and seconds have two
 *     decimals at most; {@link Field#FINISHED} is 1 or 0
 */
public record EventResult(@Nullable Mass load, Map<Field, BigDecimal> numbers) {
  /** Nobody does more in an event, and nothing is timed longer than an hour. */
  private static final Map<Field, BigDecimal> MOST = Map.of(Field.REPS, BigDecimal.valueOf(200), Field.TRIES, BigDecimal.valueOf(20),
      Field.DISTANCE, BigDecimal.valueOf(1000), Field.FINISHED, BigDecimal.ONE, Field.TIME, BigDecimal.valueOf(3600),
      Field.DONE, BigDecimal.valueOf(50), Field.WON, BigDecimal.valueOf(20));
  private static final int DECIMALS = 2;

  /** Nothing that counts. */
  public static final EventResult NONE = new EventResult(null, Map.of());

  public EventResult {
    numbers.forEach(EventResult::check);
    numbers = Map.copyOf(numbers);
  }

  private static void check(Field field, BigDecimal number) {
    BigDecimal most = MOST.get(field);
    if (most == null || number.signum() < 0 || number.compareTo(most) > 0) {
      throw new Refused("The " + field.word() + " must be from 0 to " + most + " but were " + number.toPlainString());
    }
    boolean measured = field == Field.DISTANCE || field == Field.TIME;
    if (number.stripTrailingZeros().scale() > (measured ? DECIMALS : 0)) {
      String form = measured ? " have two decimals at most" : " are whole";
      throw new Refused("The " + field.word() + form + " but were " + number.toPlainString());
    }
  }

  /** A result of one figure. */
  public static EventResult of(Field field, String number) {
    return NONE.with(field, number);
  }

  /** A heaviest load. */
  public static EventResult of(Mass load) {
    return new EventResult(load, Map.of());
  }

  /** The same with a further figure. */
  public EventResult with(Field field, String number) {
    Map<Field, BigDecimal> all = new EnumMap<>(Field.class);
    all.putAll(numbers);
    all.put(field, new BigDecimal(number));
    return new EventResult(load, all);
  }

  /** A figure in hundredths; 0 where it is not known. */
  long hundredths(Field field) {
    BigDecimal number = numbers.get(field);
    return number == null ? 0 : number.movePointRight(DECIMALS).longValueExact();
  }

  /** Whether a figure is known. */
  boolean has(Field field) {
    return numbers.containsKey(field);
  }
}
