package org.yarbel.web.platform;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.contest.RuleSet;
import org.yarbel.core.lift.Sex;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.contest.ContestAthlete.AthleteSaid;
import org.yarbel.web.form.Delimited;
import org.yarbel.web.form.Typed;

/**
 * Who lifts in a contest as a list: a line each, with tabs, semicolons or commas between. Without a line of names the columns are name,
 * sex, class, body mass, flight, lot, expected total. With one there may be lift, attempt, load and result as well, a line an attempt, as
 * the file of the summary has them.
 *
 * @param people those that could be read, each once
 * @param attempts those that could be read, in their order
 * @param faults a sentence for each line that could not
 */
record RivalSheet(List<AthleteSaid> people, List<Lifted> attempts, List<String> faults) {
  private static final int MOST_LETTERS = 200_000;
  private static final int MOST_PEOPLE = 200;
  /** Nine attempts of each, and a few more. */
  private static final int MOST_LINES = 2000;
  private static final int MOST_NAME = 80;
  private static final List<String> COLUMNS = List.of("name", "sex", "class", "body mass", "flight", "lot", "expected total");
  private static final Map<String, String> RESULTS =
      Map.of("good", "good", "no lift", "missed", "missed", "missed", "handed in", "", "", "");
  private static final Set<String> MEN = Set.of("m", "male", "man", "men", "male open");
  private static final Set<String> WOMEN = Set.of("f", "w", "female", "woman", "women");

  /**
   * An attempt of a line.
   *
   * @param lift as it is named there
   * @param good null where it is handed in
   */
  record Lifted(String name, String lift, int number, Mass load, @Nullable Boolean good) {}

  static RivalSheet of(String text) {
    List<AthleteSaid> people = new ArrayList<>();
    List<Lifted> attempts = new ArrayList<>();
    List<String> faults = new ArrayList<>();
    if (text.length() > MOST_LETTERS) {
      return new RivalSheet(people, attempts, List.of("The list may have at most " + MOST_LETTERS + " characters but has " + text.length()
          + "."));
    }
    try (CSVParser parser = CSVParser.parse(text, Delimited.of(text))) {
      List<String> columns = COLUMNS;
      for (CSVRecord line : parser) {
        List<String> heads = line.stream().map(cell -> cell.strip().toLowerCase(Locale.ROOT)).toList();
        if (line.getRecordNumber() == 1 && heads.contains("name")) {
          columns = heads;
        } else {
          read(line, columns, people, attempts, faults);
        }
        if (line.getRecordNumber() > MOST_LINES + 1L || people.size() > MOST_PEOPLE) {
          faults.add("At most " + MOST_PEOPLE + " athletes and " + MOST_LINES + " lines are read at once.");
          break;
        }
      }
    } catch (IOException | RuntimeException unreadable) {
      faults.add("That is no list with a line for each: check the quotes in it.");
    }
    return new RivalSheet(people, attempts, faults);
  }

  private static void read(CSVRecord line, List<String> columns, List<AthleteSaid> people, List<Lifted> attempts, List<String> faults) {
    Map<String, String> fields = new HashMap<>();
    for (int at = 0; at < Math.min(columns.size(), line.size()); at++) {
      fields.put(columns.get(at), line.get(at).strip());
    }
    Typed typed = new Typed(fields);
    AthleteSaid said = person(typed, "class", "body mass", "expected total");
    Lifted lifted = typed.empty("lift") ? null : lifted(typed, said.name());
    if (typed.fine()) {
      if (people.stream().noneMatch(other -> other.name().equals(said.name()) && other.category().equals(said.category()))) {
        people.add(said);
      }
      if (lifted != null) {
        attempts.add(lifted);
      }
    } else {
      faults.add("Line " + line.getRecordNumber() + ": " + String.join(" ", typed.errors().values()));
    }
  }

  private static @Nullable Lifted lifted(Typed typed, String name) {
    Integer number = typed.whole("attempt", "The attempt", 1, RuleSet.Attempts.MOST);
    Mass load = typed.mass("load", MassUnit.KG);
    String result = typed.text("result").toLowerCase(Locale.ROOT);
    if (number == null || load == null) {
      typed.wrong("attempt", "An attempt has its number and its load.");
      return null;
    }
    if (!RESULTS.containsKey(result)) {
      typed.wrong("result", "The result is good, no lift or handed in.");
    }
    String read = RESULTS.getOrDefault(result, "");
    return new Lifted(name, typed.text("lift"), number, load, read.isEmpty() ? null : Boolean.valueOf(read.equals("good")));
  }

  /** Reads one, with what is wrong noted. */
  static AthleteSaid person(Typed typed, String category, String body, String expected) {
    String name = typed.name("name", "the name", MOST_NAME);
    return new AthleteSaid(name, sex(typed), typed.note(category, 40), typed.note("flight", 20), typed.whole("lot", "The lot", 1, 9999),
        typed.bodyMass(body, MassUnit.KG), typed.total(expected), typed.ticked("withdrawn"), false);
  }

  private static @Nullable Sex sex(Typed typed) {
    String said = typed.text("sex").toLowerCase(Locale.ROOT);
    if (MEN.contains(said)) {
      return Sex.MALE;
    }
    if (WOMEN.contains(said)) {
      return Sex.FEMALE;
    }
    if (!said.isEmpty()) {
      typed.wrong("sex", "The sex is m or f.");
    }
    return null;
  }
}
