package org.yarbel.core.contest.strongman;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * What an event counts, and so how its results rank. Common practice, no source; leagues differ in what breaks a tie, which is
 * {@link ContestedEvent#timeBreaksTies()}.
 */
public enum EventKind {
  REPS("reps in a time", "Most reps; of equally many the earlier last rep, where the rules say so.", Field.REPS, Field.TIME),
  MAX_LOAD("heaviest load", "The heavier; of equal loads fewer tries.", Field.LOAD, Field.TRIES),
  DISTANCE("distance", "The farther; of equally far the shorter time.", Field.DISTANCE, Field.TIME),
  TIME("time over a course", "The shorter time; who did not finish comes behind, by the implements done, then by distance.", Field.FINISHED,
      Field.TIME, Field.DONE, Field.DISTANCE),
  SERIES("a series of implements", "Most implements; of equally many the earlier last one.", Field.DONE, Field.TIME),
  HOLD("hold for time", "The longer.", Field.TIME),
  MEDLEY("medley", "Most parts; of equally many the shorter time, and the farther in the part not finished.", Field.DONE, Field.TIME,
      Field.DISTANCE),
  HEAD_TO_HEAD("head to head", "Most rounds won; of equally many the shorter time.", Field.WON, Field.TIME);

  /** What is written down of a result. */
  public enum Field {
    REPS("reps"),
    LOAD("load"),
    TRIES("tries"),
    DISTANCE("metres"),
    FINISHED("finished"),
    TIME("seconds"),
    DONE("implements"),
    WON("rounds won");

    private final String word;

    Field(String word) {
      this.word = word;
    }

    public String word() {
      return word;
    }
  }

  private final String word;
  private final String meaning;
  private final List<Field> fields;

  EventKind(String word, String meaning, Field... fields) {
    this.word = word;
    this.meaning = meaning;
    this.fields = List.of(fields);
  }

  /** The words of the screens. */
  public String word() {
    return word;
  }

  /** How its results rank, in a sentence. */
  public String meaning() {
    return meaning;
  }

  /** What is written down, the first of them first. */
  public List<Field> fields() {
    return fields;
  }

  /** Whether a time is asked for. */
  public boolean timed() {
    return fields.contains(Field.TIME);
  }

  /** The kind of a name, where there is one. */
  public static Optional<EventKind> ofName(String name) {
    return Arrays.stream(values()).filter(kind -> kind.name().equals(name)).findFirst();
  }
}
