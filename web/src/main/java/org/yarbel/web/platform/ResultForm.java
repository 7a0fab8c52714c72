package org.yarbel.web.platform;

import java.math.BigDecimal;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.yarbel.core.contest.strongman.EventKind;
import org.yarbel.core.contest.strongman.EventKind.Field;
import org.yarbel.core.contest.strongman.EventResult;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;
import org.yarbel.web.form.Typed;

/** A result as it is typed: the figures of its kind; none of them takes it out, a tick says that there was none. */
final class ResultForm {
  private static final String NONE = "none";
  private static final String FINISHED = "yes";
  private static final int MOST_SEEN = 300;

  private ResultForm() {}

  /** Reads it; empty when something is wrong, with what is wrong noted. */
  static Optional<PlatformLog.ResultEntry> read(Typed typed, EventKind kind, int event) {
    UUID key = Typed.uuid(typed.text("key")).orElse(null);
    if (key == null || typed.text("seen").length() > MOST_SEEN) {
      typed.wrong("key", "This entry is not whole: load the page again and enter it once more.");
      return Optional.empty();
    }
    boolean nothing = kind.fields().stream().allMatch(field -> typed.empty(field.name()));
    if (nothing) {
      return Optional.of(new PlatformLog.ResultEntry(key, event, typed.text("seen"), typed.ticked(NONE) ? EventResult.NONE : null));
    }
    Mass load = null;
    Map<Field, BigDecimal> numbers = new EnumMap<>(Field.class);
    for (Field field : kind.fields()) {
      if (field == Field.LOAD) {
        load = typed.mass(field.name(), MassUnit.KG);
      } else if (field == Field.FINISHED) {
        numbers.put(field, typed.text(field.name()).equals(FINISHED) ? BigDecimal.ONE : BigDecimal.ZERO);
      } else {
        number(typed, field).ifPresent(number -> numbers.put(field, number));
      }
    }
    if (numbers.getOrDefault(Field.FINISHED, BigDecimal.ZERO).signum() > 0 && !numbers.containsKey(Field.TIME)) {
      typed.wrong(Field.TIME.name(), "Who finished has a time: write the seconds.");
    }
    if (!typed.fine()) {
      return Optional.empty();
    }
    try {
      return Optional.of(new PlatformLog.ResultEntry(key, event, typed.text("seen"), new EventResult(load, numbers)));
    } catch (Refused refused) {
      typed.wrong(kind.fields().get(0).name(), refused);
      return Optional.empty();
    }
  }

  /** A figure; a time may be minutes and seconds. */
  private static Optional<BigDecimal> number(Typed typed, Field field) {
    String text = typed.text(field.name()).replace(',', '.');
    if (text.isEmpty()) {
      return Optional.empty();
    }
    if (field == Field.TIME && text.matches("\\d{1,2}:\\d{2}(\\.\\d{1,2})?")) {
      int colon = text.indexOf(':');
      return Optional.of(new BigDecimal(text.substring(0, colon)).multiply(BigDecimal.valueOf(60)).add(new BigDecimal(text.substring(colon
          + 1))));
    }
    if (!text.matches("\\d{1,4}(\\.\\d{1,3})?")) {
      typed.wrong(field.name(), "Write the " + field.word() + " as a number" + (field == Field.TIME ? ", such as 52.31 or 1:05.2." : "."));
      return Optional.empty();
    }
    return Optional.of(new BigDecimal(text));
  }
}
