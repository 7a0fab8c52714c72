package org.yarbel.core.contest.strongman;

import org.yarbel.core.notation.Work;
import org.yarbel.core.notation.WorkLine;

/** Guesses how an event ranks from the work that is written for it; a club says otherwise where it is wrong. */
public final class KindOfWork {
  private KindOfWork() {}

  /** The kind of an event: a medley where its line has several parts. */
  public static EventKind of(WorkLine line) {
    return line.parts().size() > 1 ? EventKind.MEDLEY : line.parts().get(0).work().accept(new Guess());
  }

  private static final class Guess implements Work.Visitor<EventKind> {
    @Override
    public EventKind sets(Work.SetsOfReps work) {
      return EventKind.REPS;
    }

    @Override
    public EventKind build(Work.Build work) {
      return EventKind.MAX_LOAD;
    }

    @Override
    public EventKind max(Work.Max work) {
      return EventKind.MAX_LOAD;
    }

    @Override
    public EventKind cluster(Work.Cluster work) {
      return EventKind.REPS;
    }

    @Override
    public EventKind density(Work.Density work) {
      return EventKind.REPS;
    }

    @Override
    public EventKind emom(Work.Emom work) {
      return EventKind.REPS;
    }

    @Override
    public EventKind negative(Work.Negative work) {
      return EventKind.REPS;
    }

    @Override
    public EventKind hold(Work.Hold work) {
      return EventKind.HOLD;
    }

    @Override
    public EventKind carry(Work.Carry work) {
      return EventKind.TIME;
    }

    @Override
    public EventKind timed(Work.Timed work) {
      return EventKind.REPS;
    }

    @Override
    public EventKind series(Work.Series work) {
      return EventKind.SERIES;
    }

    @Override
    public EventKind warm(Work.Warm work) {
      return EventKind.REPS;
    }
  }
}
