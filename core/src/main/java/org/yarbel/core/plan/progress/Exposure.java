package org.yarbel.core.plan.progress;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.PlannedLine;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.PartOf;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.Group;
import org.yarbel.core.plan.SlotKind;

/**
 * What a rule writes for one exposure of a lift.
 *
 * @param lines the first is what the rule remembers; none where nothing is done
 * @param forecast whether it takes for granted that exposures before it go as planned
 * @param deload whether the rule itself means it to be easy
 * @param training the training max it is written for, where the rule keeps one; else null
 * @param remarks what to know of it, a sentence each
 * @param mark what sets it apart on the way to a contest; null for nothing
 */
public record Exposure(List<Line> lines, boolean forecast, boolean deload, @Nullable Mass training, List<String> remarks,
    @Nullable Mark mark) {
  /** What sets an exposure apart on the way to a contest. */
  public enum Mark {
    REHEARSAL("rehearsal", "R"),
    OPENER("opener tested", "O"),
    LAST_HEAVY("last heavy day", "H"),
    TEST("mock contest", "T"),
    CONTEST("contest", "C");

    private final String word;
    private final String letter;

    Mark(String word, String letter) {
      this.word = word;
      this.letter = letter;
    }

    /** The words a person reads: {@code opener tested}. */
    public String word() {
      return word;
    }

    /** One letter for narrow places. */
    public String letter() {
      return letter;
    }
  }

  /**
   * One line.
   *
   * @param group lines one after another with the same are done by turns; null for none
   */
  public record Line(SlotKind kind, String lift, WorkLine work, @Nullable Group group) {
    static Line of(SlotKind kind, String lift, PartOf... parts) {
      return new Line(kind, lift, PartOf.line(parts), null);
    }

    /** How often its group goes round, 1 without one. */
    public int rounds() {
      return group == null || group.rounds() == null ? 1 : group.rounds();
    }
  }

  /** What a line of it is worked out with. */
  public PlannedLine planned(Line line, Catalogue all) {
    return new PlannedLine(all.ofKey(line.lift()).orElseThrow(), line.work().toString(), PlannedLine.Beside.NONE, line.rounds(), training);
  }

  public Exposure {
    lines = List.copyOf(lines);
    remarks = List.copyOf(remarks);
  }

  /** One that nothing sets apart. */
  Exposure(List<Line> lines, boolean forecast, boolean deload, @Nullable Mass training, List<String> remarks) {
    this(lines, forecast, deload, training, remarks, null);
  }

  /** One main line of the brief's own lift. */
  static Exposure of(Brief brief, PartOf... parts) {
    return of(brief, PartOf.line(parts));
  }

  static Exposure of(Brief brief, WorkLine work) {
    return new Exposure(List.of(main(brief, work)), false, false, null, List.of());
  }

  static Line main(Brief brief, PartOf... parts) {
    return main(brief, PartOf.line(parts));
  }

  static Line main(Brief brief, WorkLine work) {
    return new Line(SlotKind.MAIN, brief.lift().key(), work, null);
  }

  /** Nothing is done, and why. */
  static Exposure none(String remark) {
    return new Exposure(List.of(), false, false, null, List.of(remark));
  }

  /** The same as a forecast when something not yet done stands before it. */
  Exposure ahead(int exposures) {
    return new Exposure(lines, exposures > 0, deload, training, remarks, mark);
  }

  Exposure saying(List<String> more) {
    return new Exposure(lines, forecast, deload, training, more, mark);
  }

  Exposure marked(Mark as) {
    return new Exposure(lines, forecast, deload, training, remarks, as);
  }

  Exposure saying(String remark) {
    return saying(List.of(remark));
  }
}
