package org.yarbel.web.form;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;

/**
 * The fields of a form by name, as text. It answers a sentence for every field that cannot be, and may ask once about one
 * that looks like a slip: typed the same again, with what {@link #asked()} says sent along, it stands.
 */
public final class Typed {
  /** No load is heavier. */
  public static final Mass MOST_LOAD = Mass.of("1000", MassUnit.KG);

  /** No total is heavier. */
  private static final Mass MOST_TOTAL = Mass.of("2000", MassUnit.KG);
  private static final Mass LEAST_BODY = Mass.of("20", MassUnit.KG);
  private static final Mass MOST_BODY = Mass.of("300", MassUnit.KG);
  private static final String SURE = "sure.";
  private static final int MOST_SAID = 20;

  private final Map<String, String> fields;
  private final Map<String, String> errors = new LinkedHashMap<>();
  private final Map<String, String> asked = new LinkedHashMap<>();

  /** What was typed, by field. */
  public Typed(Map<String, String> fields) {
    this.fields = fields;
  }

  /** What was typed, whole. */
  public Map<String, String> fields() {
    return fields;
  }

  /** A sentence a field. */
  public Map<String, String> errors() {
    return errors;
  }

  /** What to send along so that a doubted field is taken the next time: its answer, by {@code sure.} and its name. */
  public Map<String, String> asked() {
    return asked;
  }

  /** Whether nothing was wrong so far. */
  public boolean fine() {
    return errors.isEmpty();
  }

  /** Whether a field came at all. */
  public boolean has(String field) {
    return fields.containsKey(field);
  }

  public boolean empty(String field) {
    return text(field).isEmpty();
  }

  /** What was typed in a field, stripped; empty where it did not come. */
  public String text(String field) {
    return fields.getOrDefault(field, "").strip();
  }

  /** Notes what is wrong with a field; the first thing said of it stays. */
  public void wrong(String field, String sentence) {
    errors.putIfAbsent(field, sentence);
  }

  /** Notes what the core refused. */
  public void wrong(String field, Refused refused) {
    wrong(field, refused.sentence());
  }

  /** Asks about a field, once. */
  public void doubt(String field, String question) {
    if (!text(SURE + field).equals(text(field))) {
      wrong(field, question + " Send it again if it is right.");
      asked.put(SURE + field, text(field));
    }
  }

  /** A text of at least one character. */
  public String name(String field, String what, int most) {
    String name = text(field);
    if (name.isEmpty() || name.length() > most) {
      wrong(field, "Write " + what + ", at most " + most + " characters.");
    }
    return name;
  }

  /** A text that may be empty. */
  public String note(String field, int most) {
    String note = text(field);
    if (note.length() > most) {
      wrong(field, "It may have at most " + most + " characters but has " + note.length() + ".");
    }
    return note;
  }

  /** A unit that was chosen. */
  public MassUnit unit(String field) {
    return text(field).equalsIgnoreCase("LB") ? MassUnit.LB : MassUnit.KG;
  }

  /** A mass over 0 and at most 1000 kg; null when nothing was typed, or nothing that can be. */
  public @Nullable Mass mass(String field, MassUnit unit) {
    Mass mass = massFromZero(field, unit);
    if (mass != null && mass.isZero()) {
      wrong(field, "The mass must be over 0.");
      return null;
    }
    return mass;
  }

  /** A body mass from 20 to 300 kg; null when nothing was typed, or nothing that can be. */
  public @Nullable Mass bodyMass(String field, MassUnit unit) {
    Mass mass = mass(field, unit);
    if (mass != null && (mass.compareTo(LEAST_BODY) < 0 || mass.compareTo(MOST_BODY) > 0)) {
      wrong(field, "The body mass must be from 20 to 300 kg but was " + mass.text() + ". Is it kg or lb?");
      return null;
    }
    return mass;
  }

  /** The same as {@link #mass}, nothing at all allowed. */
  public @Nullable Mass massFromZero(String field, MassUnit unit) {
    String text = text(field).replace(',', '.');
    if (text.isEmpty()) {
      return null;
    }
    if (text.matches("[-−–]\\s*\\d.*")) {
      wrong(field, "A mass cannot be negative: " + said(text) + ".");
      return null;
    }
    if (!text.matches("\\d{1,6}(\\.\\d{1,3})?")) {
      wrong(field, "Write the mass as a number in " + unit + ", such as 142.5.");
      return null;
    }
    Mass mass = Mass.of(new BigDecimal(text), unit);
    if (mass.compareTo(MOST_LOAD) > 0) {
      wrong(field, "The mass must be at most 1000 kg (2204 lb) but was " + mass.text() + ".");
      return null;
    }
    return mass;
  }

  /** A total of several lifts, which may be heavier than any one load, in kg; null when nothing was typed, or nothing that can be. */
  public @Nullable Mass total(String field) {
    String text = text(field).replace(',', '.');
    if (text.isEmpty()) {
      return null;
    }
    if (!text.matches("\\d{2,4}(\\.\\d{1,3})?") || Mass.of(text, MassUnit.KG).compareTo(MOST_TOTAL) > 0) {
      wrong(field, "Write it in kg, such as 542.5. At most " + MOST_TOTAL.text() + " can be.");
      return null;
    }
    return Mass.of(text, MassUnit.KG);
  }

  /** A whole number; null when nothing was typed, or nothing that can be. */
  public @Nullable Integer whole(String field, String what, int least, int most) {
    String text = text(field);
    if (text.isEmpty()) {
      return null;
    }
    if (!text.matches("\\d{1,6}") || Integer.parseInt(text) < least || Integer.parseInt(text) > most) {
      wrong(field, what + " must be a whole number from " + least + " to " + most + " but was " + said(text) + ".");
      return null;
    }
    return Integer.valueOf(text);
  }

  /** A number that may have a fraction; null when nothing was typed, or nothing that can be. */
  public @Nullable Double decimal(String field, String what, double least, double most) {
    String text = text(field).replace(',', '.');
    if (text.isEmpty()) {
      return null;
    }
    if (!text.matches("\\d{1,6}(\\.\\d{1,4})?") || Double.parseDouble(text) < least || Double.parseDouble(text) > most) {
      wrong(field, what + " must be a number from " + plain(least) + " to " + plain(most) + " but was " + said(text) + ".");
      return null;
    }
    return Double.valueOf(text);
  }

  /** What was typed, as a sentence repeats it: the field beside it has it whole. */
  private static String said(String text) {
    return text.codePointCount(0, text.length()) <= MOST_SAID ? text : text.substring(0, text.offsetByCodePoints(0, MOST_SAID)) + "…";
  }

  private static String plain(double value) {
    return BigDecimal.valueOf(value).stripTrailingZeros().toPlainString();
  }

  /** An RPE from 6 to 10 in halves; null when nothing was typed, or nothing that can be. */
  public @Nullable Rpe rpe(String field) {
    String text = text(field).replace(',', '.');
    try {
      return text.isEmpty() ? null : Rpe.parse(text);
    } catch (NumberFormatException notANumber) {
      wrong(field, "Write the RPE as a number from 6 to 10, such as 8.5.");
    } catch (Refused refused) {
      wrong(field, refused);
    }
    return null;
  }

  /** A day; null when nothing was typed, or nothing that can be. */
  public @Nullable LocalDate day(String field, LocalDate example) {
    String text = text(field);
    try {
      return text.isEmpty() ? null : DayReader.read(text);
    } catch (DateTimeParseException notADay) {
      wrong(field, "Write the day as year-month-day, such as " + example + ".");
      return null;
    }
  }

  /** A day that has been; null when nothing was typed, or nothing that can be. */
  public @Nullable LocalDate past(String field, LocalDate today) {
    LocalDate day = day(field, today);
    if (day != null && day.isAfter(today)) {
      wrong(field, "The day lies ahead: " + day + ". What was done lies in the past.");
      return null;
    }
    if (day != null && day.isBefore(today.minusYears(100))) {
      wrong(field, "The day lies too far back: " + day + ".");
      return null;
    }
    return day;
  }

  /** One of a set of words; empty for anything else. */
  public <E extends Enum<E>> Optional<E> choice(String field, Class<E> type) {
    return named(type, text(field));
  }

  /** The constant of a name; empty for what is none. */
  public static <E extends Enum<E>> Optional<E> named(Class<E> type, @Nullable String name) {
    return Stream.of(type.getEnumConstants()).filter(e -> e.name().equals(name)).findFirst();
  }

  /** A key that was made where something was typed; empty for what is none. */
  public static Optional<UUID> uuid(@Nullable String text) {
    try {
      return Optional.of(UUID.fromString(text == null ? "" : text));
    } catch (IllegalArgumentException none) {
      return Optional.empty();
    }
  }

  /** Whether a box is ticked. */
  public boolean ticked(String field) {
    return !empty(field);
  }
}
