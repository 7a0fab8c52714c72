package org.yarbel.core.call;

import java.util.Optional;
import org.yarbel.core.card.Chosen;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.Deload;

/** How a session is made easier on a low day. A coach is offered it as a call, the lifter on the Card, by the same lines. */
public enum EasyWay {
  /** The same sets, a share lighter. */
  LIGHTER(Chosen.LIGHTER),
  /** No set harder than {@link #CAP}. */
  CAPPED(Chosen.CAPPED),
  /** Light triples of each lift; what has a fixed load has half its sets. */
  TECHNIQUE(Chosen.TECHNIQUE);

  /** The RPE at which a capped session ends. */
  public static final double CAP = 8;

  private final Chosen chosen;

  EasyWay(Chosen chosen) {
    this.chosen = chosen;
  }

  /** How its sets are told apart in the log. */
  public Chosen chosen() {
    return chosen;
  }

  /** As it is offered: {@code The same sets 5 % lighter}. */
  public String words(double percent) {
    return switch (this) {
      case LIGHTER -> "The same sets " + Say.number(percent) + " % lighter";
      case CAPPED -> "Top sets capped at " + Say.number(CAP);
      case TECHNIQUE -> "Light technique";
    };
  }

  /**
   * A line made easier; empty where nothing of it becomes so.
   *
   * @param percent by which the same sets are lighter
   */
  public Optional<WorkLine> of(WorkLine line, EffortChart chart, double percent) {
    Optional<WorkLine> easier = switch (this) {
      case LIGHTER -> Optional.of(LineEdit.scaled(line, 1 - percent / 100, chart));
      case CAPPED -> Optional.of(LineEdit.capped(line, CAP));
      case TECHNIQUE -> Deload.LIGHT_TECHNIQUE.applied(line, chart);
    };
    return easier.filter(work -> !work.equals(line));
  }
}
