package org.yarbel.core.call;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.log.Context;
import org.yarbel.core.mass.Mass;

/**
 * An exposure of a lift that lies behind.
 *
 * @param lines of main work of the lift
 * @param answers what was said before it; null where nothing was
 */
record Past(Picture.Session session, List<Picture.Line> lines, Picture.@Nullable Answers answers) {
  LocalDate day() {
    return session.day();
  }

  /** Sets of the lift itself: where another was done in its place they tell nothing of it. */
  List<Picture.Lifted> sets() {
    return lines.stream().flatMap(line -> line.sets().stream().filter(set -> set.lift().key().equals(line.lift().key()))).toList();
  }

  /** Whether something was not as usual in any of its sets. */
  boolean flagged() {
    return sets().stream().anyMatch(Picture.Lifted::flagged);
  }

  /** Whether there was a reason: a flag, or bad answers before it. */
  boolean excused() {
    return flagged() || answers != null && answers.bad();
  }

  /** What was not as usual, in words: {@code no belt, slept 5 h}. */
  String reason() {
    Set<String> words = new TreeSet<>();
    sets().forEach(set -> set.state().stream().map(Context::word).forEach(words::add));
    if (answers != null && answers.bad()) {
      words.add(answers.said().words());
    }
    return String.join(", ", words);
  }

  /** Sets of several reps that had fewer than were asked. */
  List<Picture.Lifted> missed() {
    return sets().stream().filter(set -> set.missed() && !set.single()).toList();
  }

  /** How far its rated sets were off the RPE asked, on average; not a number where none tells. */
  double off() {
    return sets().stream().filter(set -> !set.open()).mapToDouble(Picture.Lifted::off).filter(off -> !Double.isNaN(off)).average()
        .orElse(Double.NaN);
  }

  /** Its last open set, with the reps over the minimum; empty where there was none. */
  Optional<Picture.Lifted> plus() {
    List<Picture.Lifted> open = sets().stream().filter(set -> set.open() && set.asked() != null && set.reps() > 0).toList();
    return open.isEmpty() ? Optional.empty() : Optional.of(open.get(open.size() - 1));
  }

  /** The heaviest made; empty where nothing was. */
  Optional<Mass> top() {
    return sets().stream().filter(set -> set.reps() > 0).map(Picture.Lifted::load).max(Comparator.naturalOrder());
  }

  /** Its sets as facts. */
  List<Fact> facts(List<Picture.Lifted> of) {
    List<Fact> facts = new ArrayList<>();
    of.forEach(set -> facts.add(Say.fact(day(), set)));
    return facts;
  }

  /** The answers before it as a fact, where they were bad. */
  List<Fact> badAnswers() {
    return answers == null || !answers.bad() ? List.of() : List.of(Say.fact(answers));
  }
}
