package org.yarbel.core.log;

import java.util.List;
import org.yarbel.core.lift.Lift;

/** The marks that are offered for a lift, in the order they are looked for; any list ends with one for all else. */
public enum MarkList {
  SQUAT(TechniqueMark.DEPTH, TechniqueMark.KNEES_IN, TechniqueMark.HEELS_UP, TechniqueMark.FOLDS_FORWARD, TechniqueMark.HIPS_FIRST,
      TechniqueMark.SHIFT, TechniqueMark.OFF_MIDFOOT, TechniqueMark.LOWER_BACK, TechniqueMark.OTHER),
  BENCH(TechniqueMark.BOUNCED, TechniqueMark.PAUSE_SHORT, TechniqueMark.UNEVEN, TechniqueMark.ELBOWS, TechniqueMark.BUTTOCKS_OFF,
      TechniqueMark.DRIFTS, TechniqueMark.SLOW_LOCK_OUT, TechniqueMark.OTHER),
  PULL(TechniqueMark.SLOW_OFF_THE_FLOOR, TechniqueMark.HIPS_FIRST, TechniqueMark.UPPER_BACK, TechniqueMark.LOWER_BACK,
      TechniqueMark.OFF_THE_LEGS, TechniqueMark.SOFT_LOCK_OUT, TechniqueMark.HITCH, TechniqueMark.GRIP, TechniqueMark.OTHER),
  PRESS(TechniqueMark.HEELS_UP, TechniqueMark.LAYBACK, TechniqueMark.FORWARD, TechniqueMark.SOFT_LOCK_OUT, TechniqueMark.OTHER),
  EVENT(TechniqueMark.DROPPED, TechniqueMark.STOPPED, TechniqueMark.FOOTING, TechniqueMark.SLOW_PICK, TechniqueMark.SLOW_LAP,
      TechniqueMark.MISSED_THE_TURN, TechniqueMark.LOWER_BACK, TechniqueMark.OTHER),
  ASSISTANCE(TechniqueMark.SHIFT, TechniqueMark.LOWER_BACK, TechniqueMark.GRIP, TechniqueMark.OTHER);

  private final List<TechniqueMark> marks;

  MarkList(TechniqueMark... marks) {
    this.marks = List.of(marks);
  }

  /** The marks in their order. */
  public List<TechniqueMark> marks() {
    return marks;
  }

  /** The list of a lift. */
  public static MarkList of(Lift lift) {
    return switch (lift.pattern()) {
      case SQUAT, SINGLE_LEG -> SQUAT;
      case HORIZONTAL_PRESS -> BENCH;
      case HINGE -> PULL;
      case VERTICAL_PRESS -> PRESS;
      case CARRY, LOADING, HOLD, THROW, DRAG -> EVENT;
      case HORIZONTAL_PULL, VERTICAL_PULL, ARMS, TRUNK, JUMP -> ASSISTANCE;
    };
  }
}
