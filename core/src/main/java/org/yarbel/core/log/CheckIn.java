package org.yarbel.core.log;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Refused;

/**
 * How somebody comes to a session, told in ten seconds before the first set; all of it may be left out.
 *
 * @param sleep hours of the night before, in halves: 15 for 7.5 h, 0 to 32; null where nobody said
 * @param energy 1 to 5, 5 good; null where nobody said
 * @param joints 1 to 5, 5 good; null where nobody said
 * @param stress 1 to 5, 5 calm; null where nobody said
 * @param pains what hurts, at most four
 */
public record CheckIn(@Nullable Integer sleep, @Nullable Integer energy, @Nullable Integer joints, @Nullable Integer stress,
    List<Pain> pains) {
  /** The most halves of an hour that are slept. */
  public static final int MOST_SLEEP = 32;
  /** The best answer. */
  public static final int BEST = 5;
  /** As many places are told at the most. */
  public static final int MOST_PAINS = 4;
  /** Under so many halves of an hour a night is short, six hours; our own choice. */
  public static final int SHORT_UNDER = 12;

  public CheckIn {
    within("The sleep in halves of an hour", sleep, 0, MOST_SLEEP);
    within("The energy", energy, 1, BEST);
    within("How the joints feel", joints, 1, BEST);
    within("How calm somebody is", stress, 1, BEST);
    if (pains.size() > MOST_PAINS) {
      throw new Refused("At most " + MOST_PAINS + " places can hurt at a time but " + pains.size() + " were told");
    }
    pains = List.copyOf(pains);
  }

  private static void within(String what, @Nullable Integer value, int least, int most) {
    if (value != null && (value < least || value > most)) {
      throw new Refused(what + " must be from " + least + " to " + most + " but was " + value);
    }
  }

  /** The same with a pain told anew: in place of what was said of that place, else behind it, the mildest left out where four stand. */
  public CheckIn with(Pain told) {
    List<Pain> all = new ArrayList<>(pains);
    all.removeIf(pain -> pain.where().equals(told.where()));
    if (all.size() == MOST_PAINS) {
      all.remove(all.stream().min(Comparator.comparingInt(Pain::score)).orElseThrow());
    }
    all.add(told);
    return new CheckIn(sleep, energy, joints, stress, all);
  }

  /** Whether anything is said at all. */
  public boolean any() {
    return sleep != null || energy != null || joints != null || stress != null || !pains.isEmpty();
  }

  /** What it makes of every set of a lift that day. */
  public Set<Context> contextOf(Lift lift) {
    Set<Context> context = EnumSet.noneOf(Context.class);
    if (sleep != null && sleep < SHORT_UNDER) {
      context.add(Context.SHORT_SLEEP);
    }
    if (pains.stream().anyMatch(pain -> pain.spoils(lift))) {
      context.add(Context.PAIN);
    }
    return context;
  }

  /** In words: {@code slept 7.5 h, energy 4, joints 3, calm 5 of 5; left knee 4 of 10}; empty where nothing is said. */
  public String words() {
    List<String> said = new ArrayList<>();
    if (sleep != null) {
      said.add("slept " + sleep / 2 + (sleep % 2 == 0 ? "" : ".5") + " h");
    }
    answer(said, "energy", energy);
    answer(said, "joints", joints);
    answer(said, "calm", stress);
    boolean answered = energy != null || joints != null || stress != null;
    String answers = String.join(", ", said) + (answered ? " of " + BEST : "");
    String hurts = pains.stream().map(Pain::words).collect(Collectors.joining("; "));
    return answers + (answers.isEmpty() || hurts.isEmpty() ? "" : "; ") + hurts;
  }

  private static void answer(List<String> said, String what, @Nullable Integer value) {
    if (value != null) {
      said.add(what + " " + value);
    }
  }
}
