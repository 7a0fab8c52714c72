package org.yarbel.core.records;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What a column of old records holds. */
public enum Meaning {
  DAY("day", "date", "day", "datum", "tag", "fecha", "data", "dato", "when"),
  LIFT("lift", "lift", "exercise", "movement", "übung", "uebung", "ejercicio", "exercice", "esercizio", "name"),
  LOAD("load", "load", "weight", "kg", "lb", "lbs", "gewicht", "last", "peso", "charge", "poids", "intensity"),
  REPS("reps", "reps", "rep", "repetitions", "wdh", "wiederholungen", "répétitions", "repeticiones"),
  SETS("number of sets", "sets", "set", "sätze", "saetze", "satz", "series", "séries"),
  WORK("sets and reps, such as 3x5", "work", "scheme", "sets x reps", "sets×reps", "setsxreps", "prescription", "workout"),
  RPE("RPE", "rpe", "effort"),
  RIR("reps in reserve", "rir", "reserve", "reps in reserve"),
  UNIT("unit", "unit", "units", "einheit", "unidad"),
  NOTE("note", "note", "notes", "comment", "comments", "remark", "remarks", "notiz", "notizen", "kommentar", "bemerkung", "notas"),
  /** The head is the lift, the cell what was done of it. */
  OF_A_LIFT("a lift: its cells are what was done"),
  NOTHING("nothing");

  private final String word;
  private final List<String> heads;

  Meaning(String word, String... heads) {
    this.word = word;
    this.heads = List.of(heads);
  }

  /** As it is said: {@code number of sets}. */
  public String word() {
    return word;
  }

  /** What a head calls by its name; empty for one nobody knows. */
  static Optional<Meaning> of(String head) {
    String plain = head.toLowerCase(Locale.ROOT).replaceAll("[\\[(].*?[])]", " ").replaceAll("[._:#-]", " ").replaceAll("\\s+", " ")
        .strip();
    Optional<Meaning> whole = Arrays.stream(values()).filter(one -> one.heads.contains(plain)).findFirst();
    return whole.isPresent() ? whole : Arrays.stream(plain.split(" ")).flatMap(part -> Arrays.stream(values())
        .filter(one -> one.heads.contains(part))).findFirst();
  }
}
