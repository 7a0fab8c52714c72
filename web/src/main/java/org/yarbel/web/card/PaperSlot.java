package org.yarbel.web.card;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * One line of a card on paper.
 *
 * @param ramp the warm-up in one line; empty for none
 */
public record PaperSlot(String lift, String kind, String work, @Nullable String group, String ramp, List<PaperSet> sets,
    List<String> notes, @Nullable String problem) {
  /** More boxes for a set each do not fit beside its load. */
  private static final int MOST_BOXES = 10;

  /** Equal sets on paper: how many, the load, what is asked, and a box for each. */
  public record PaperSet(int count, String load, String asked, List<Integer> boxes) {}

  /** Equal sets of a part are written once, with a box each. */
  static PaperSlot of(CardView.SlotView slot) {
    List<PaperSet> sets = new ArrayList<>();
    CardView.SetView last = null;
    for (CardView.SetView set : slot.sets()) {
      if (set.attempt()) {
        continue;
      }
      boolean same = last != null && last.part() == set.part() && last.load().equals(set.load()) && last.asked().equals(set.asked());
      int count = same ? sets.get(sets.size() - 1).count() + 1 : 1;
      PaperSet written = new PaperSet(count, set.load(), set.asked().replace("as many as possible", "open"),
          IntStream.rangeClosed(1, Math.min(count, MOST_BOXES)).boxed().toList());
      if (same) {
        sets.set(sets.size() - 1, written);
      } else {
        sets.add(written);
      }
      last = set;
    }
    String ramp = slot.ramp().stream().map(step -> step.load() + "×" + step.reps()).collect(Collectors.joining("  "));
    List<String> notes = new ArrayList<>(slot.notes());
    slot.cautions().stream().filter(CardView.Minded::hurts).map(CardView.Minded::text).limit(1).forEach(notes::add);
    return new PaperSlot(slot.lift(), slot.kind(), slot.work(), slot.group(), ramp, sets, notes, slot.problem());
  }
}
