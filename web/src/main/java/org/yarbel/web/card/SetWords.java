package org.yarbel.web.card;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.yarbel.core.card.Prospects;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.card.Role;
import org.yarbel.core.mass.Count;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Reps;
import org.yarbel.core.notation.Work;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.track.Outlook;
import org.yarbel.web.log.LoggedSetRow;

/** The words of one set on the Card. */
final class SetWords {
  private SetWords() {}

  /** What the set is in its line: {@code back-off 2 of 4}. */
  static String title(ResolvedLine line, ResolvedSet set) {
    Work work = WorkLine.parse(line.notation()).line().parts().get(set.part() - 1).work();
    int inPart = work.sets();
    if (set.set() > inPart) {
      return "another attempt";
    }
    String count = inPart == 1 ? "" : " " + set.set() + " of " + inPart;
    return switch (set.role()) {
      case TOP -> (work instanceof Work.SetsOfReps asked && asked.reps().equals(new Reps.Exactly(1)) ? "top single" : "top set") + count;
      case BACKOFF -> "back-off" + count;
      case OPEN -> "open set" + count;
      case PLUS -> "last set, open";
      case STRAIGHT -> inPart == 1 ? "one set" : "set" + count;
      case BUILD -> "build-up" + count;
      case MAX -> "best of the day";
      case CLUSTER -> "cluster" + count;
      case DENSITY -> "singles on the clock";
      case EMOM -> "on the minute" + count;
      case NEGATIVE -> "lowered" + count;
      case HOLD -> "hold" + count;
      case CARRY -> "carry" + count;
      case TIMED -> "on time" + count;
      case SERIES -> "series" + count;
      case WARM -> "warm-up" + count;
    };
  }

  /** What is asked of it beside the load: {@code × 4 @8}, {@code 20 m, 1 turn}. */
  static String asked(ResolvedSet set, MassUnit unit) {
    ResolvedSet.Distance distance = set.distance();
    ResolvedSet.Clock clock = set.clock();
    String rpe = set.rpe() == null || set.logged() && set.reps() == null ? "" : " @" + set.rpe() + (set.rpeTo() == null ? ""
        : "–" + set.rpeTo());
    if (distance != null) {
      return plain(distance.metres()) + " m" + (distance.turns() == null ? "" : ", " + Count.of(distance.turns(), "turn")) + rpe;
    }
    if (clock != null && clock.seconds() != null) {
      return clock.seconds() + " s" + (set.role() == Role.TIMED ? ", as many as go" : "") + rpe;
    }
    return "× " + reps(set) + rpe;
  }

  private static String reps(ResolvedSet set) {
    if (set.reps() == null) {
      return "as many as possible";
    }
    if (set.role() == Role.CLUSTER || set.role() == Role.DENSITY) {
      return Count.of(set.reps(), "single");
    }
    return set.reps() + (set.repsTo() == null ? "" : "–" + set.repsTo()) + (set.role() == Role.PLUS && !set.logged() ? "+" : "");
  }

  /** What else to know before it is lifted. */
  static List<String> notes(ResolvedSet set, CardDocument.CardSlot slot, MassUnit unit) {
    List<String> notes = new ArrayList<>();
    if (set.load() == null) {
      notes.add(slot.last() == null ? "you pick the load" : "last time " + slot.last().shownIn(unit).text());
    }
    ResolvedSet.Ends ends = set.ends();
    if (ends != null) {
      notes.add(ends.bottom().shownIn(unit).number() + " at the bottom, " + ends.top().shownIn(unit).number() + " at the top");
    }
    if (set.load() != null && !slot.onIt(set.load()).hits(set.load())) {
      notes.add("truly " + set.load().shownIn(unit).text());
    }
    if (set.tempo() != null) {
      notes.add("tempo " + set.tempo());
    }
    if (set.stop() != null) {
      notes.add("stop " + stop(set.stop()));
    }
    return notes;
  }

  /** What the tracker foresees of a set: the reps of an open one, the chance of a single near the max. */
  static Optional<String> foreseen(ResolvedSet set, Outlook day) {
    OptionalDouble chance = Prospects.single(set, day);
    return Prospects.reps(set, day).map(expected -> "as many as " + expected.reps() + " ± " + expected.give())
        .or(() -> chance.isEmpty() ? Optional.empty() : Optional.of("goes up " + Math.round(100 * chance.getAsDouble()) + " times in 100"));
  }

  /** Today's max in words, beside the one that is published. */
  static String todaysMax(Outlook day, MassUnit unit) {
    return "Today’s max " + day.today(unit).text(unit) + " " + unit + ", on a usual day and rested " + figure(day.max(unit).max(), unit);
  }

  static String figure(Mass mass, MassUnit unit) {
    return mass.amountIn(unit, 1).toPlainString();
  }

  private static String stop(String stop) {
    if (stop.equals(ResolvedSet.STOPS_BY_FORM)) {
      return "when form goes";
    }
    return stop.startsWith("-") ? "when a set is " + stop.substring(1) + " under the best" : "at " + stop;
  }

  /** What was done, a thing called by what stands on it. */
  static String done(LoggedSetRow row, CardDocument.CardSlot slot) {
    Mass stamp = slot.onIt(row.load());
    return stamp.hits(row.load()) ? row.words() : "stamped " + stamp.text() + ": " + row.words();
  }

  /** A number as it is read, to the hundredth. */
  static String plain(BigDecimal number) {
    return number.setScale(2, RoundingMode.HALF_EVEN).stripTrailingZeros().toPlainString();
  }
}
