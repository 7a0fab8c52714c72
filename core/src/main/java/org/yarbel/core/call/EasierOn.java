package org.yarbel.core.call;

import java.util.Arrays;
import java.util.List;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.log.BodyPlace;

/**
 * Relatives of a lift that load a place that hurts less. The table stands in {@code easier-on.txt} beside this class; common practice,
 * no source. It says what may be tried, never what somebody has: that is for a clinician.
 */
public final class EasierOn {
  private static final List<Row> ROWS = Table.read("easier-on.txt", 3, Row::of);

  private EasierOn() {}

  /**
   * A place and a family.
   *
   * @param head the key of the family's head
   * @param lifts the easiest first
   */
  public record Row(BodyPlace place, String head, List<String> lifts) {
    static Row of(List<String> cells) {
      BodyPlace place = Arrays.stream(BodyPlace.values()).filter(one -> one.word().equals(cells.get(0))).findFirst().orElseThrow();
      Catalogue.standard().ofKey(cells.get(1)).orElseThrow();
      return new Row(place, cells.get(1), Table.lifts(cells.get(2)));
    }
  }

  /** All of the table. */
  public static List<Row> all() {
    return ROWS;
  }

  /** What is easier on a place than lifts of a family, the easiest first; none where nothing is known to be. */
  public static List<String> of(BodyPlace place, String head) {
    return ROWS.stream().filter(row -> row.place() == place && row.head().equals(head)).findFirst().map(Row::lifts).orElse(List.of());
  }
}
