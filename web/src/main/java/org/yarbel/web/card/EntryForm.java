package org.yarbel.web.card;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.HowEnded;
import org.yarbel.core.card.LoggedSet;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.log.Context;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;
import org.yarbel.web.form.Typed;
import org.yarbel.web.log.Entry;
import org.yarbel.web.log.Said;
import org.yarbel.web.log.Stopped;

/**
 * What was typed of one set, as it came. {@link #check} turns it into an {@link Entry} or into a sentence for every
 * field that cannot be.
 *
 * @param slot the ref of the line
 * @param outcome {@code done}, {@code missed} (no good rep), or {@code clear} (not done after all)
 * @param sure set when a doubt was asked and answered
 * @param instead the load that was meant, taken up from a question
 * @param was the outcome that a question was about
 */
record EntryForm(
    @Nullable String key,
    @Nullable String slot,
    @Nullable Integer part,
    @Nullable Integer set,
    @Nullable Integer issue,
    @Nullable Integer seen,
    @Nullable String load,
    @Nullable String reps,
    @Nullable String rpe,
    @Nullable String flagged,
    @Nullable String outcome,
    @Nullable String sure,
    @Nullable String seconds,
    @Nullable String metres,
    @Nullable String stopped,
    @Nullable String ended,
    @Nullable String instead,
    @Nullable String was) {
  /** What the pad of a set under 6 sends. */
  static final String EASIER = "easier";

  static final int MOST_REPS = 100;

  /** An entry, or what is wrong with each field. */
  record CheckedEntry(Optional<Entry> entry, Map<String, String> errors) {}

  /**
   * Checks all of it.
   *
   * @param also what was tapped beside the figures
   */
  CheckedEntry check(MassUnit unit, SaidForm also, Catalogue lifts) {
    Map<String, String> errors = new LinkedHashMap<>();
    Mass mass = mass(unit, errors);
    int count = missed() ? 0 : reps(errors);
    Rpe rating = rating(errors);
    BigDecimal took = measure("seconds", seconds, "seconds", errors);
    BigDecimal far = measure("metres", metres, "metres", errors);
    Optional<UUID> entryKey = Typed.uuid(key);
    Optional<UUID> line = line();
    if (entryKey.isEmpty() || line.isEmpty()) {
      errors.put("load", "This page is too old to log from: open the card again.");
    }
    HowEnded ending = howEnded();
    Said said = also.check(lifts, count, ending, errors);
    if (!errors.isEmpty()) {
      return new CheckedEntry(Optional.empty(), errors);
    }
    Entry entry = new Entry(entryKey.orElseThrow(), line.orElseThrow(), place(), number(issue),
        seen == null ? -1 : seen, mass, count, missed() ? null : rating, !missed() && easier(),
        took == null ? null : Integer.valueOf(took.movePointRight(1).setScale(0, RoundingMode.HALF_UP).intValueExact()),
        far == null ? null : Integer.valueOf(far.movePointRight(2).intValue()), ending(),
        ending, said(also, said));
    return new CheckedEntry(Optional.of(entry), errors);
  }

  /** What is said; null where nobody was asked. A page from before the chips had one box, which says no more than that. */
  private @Nullable Said said(SaidForm also, Said said) {
    if (flagged != null) {
      return said.inStates(Set.of(Context.SOMETHING_ELSE));
    }
    return also.asked() ? said : null;
  }

  /** Rated under 6, which stands beside the nine ratings. */
  private boolean easier() {
    return EASIER.equals(rpe);
  }

  /** Why it had no more reps; null where nobody said. A miss is one for want of strength unless somebody says otherwise. */
  @Nullable HowEnded howEnded() {
    HowEnded said = Typed.named(HowEnded.class, ended).orElse(null);
    return said == null && missed() ? HowEnded.COULD_NOT : said;
  }

  /** What ended singles on the clock; null where it was the time. */
  @Nullable Stopped ending() {
    return Typed.named(Stopped.class, stopped).orElse(null);
  }

  boolean missed() {
    return "missed".equals(outcome) || outcome == null && "missed".equals(was);
  }

  /** What was pressed, or what the question was about that was answered. */
  String pressed() {
    return missed() ? "missed" : "done";
  }

  /** The same with the load that was taken up from a question, which is answered by it. */
  EntryForm corrected() {
    return instead == null || instead.isBlank() ? this
        : new EntryForm(key, slot, part, set, issue, seen, instead, reps, rpe, flagged, outcome, "1", seconds, metres, stopped, ended, null,
            was);
  }

  boolean clear() {
    return "clear".equals(outcome);
  }

  /** The id of the panel that was filled in. */
  String panel() {
    return slot + "-" + number(part) + "-" + number(set);
  }

  private Mass mass(MassUnit unit, Map<String, String> errors) {
    Mass none = Mass.ofNanograms(0, unit);
    BigDecimal amount = decimal(load);
    if (amount == null) {
      errors.put("load", "Write the load as a number, such as 182.5.");
      return none;
    }
    if (amount.signum() < 0 || amount.compareTo(BigDecimal.valueOf(3000)) > 0
        || Mass.of(amount, unit).compareTo(Mass.of("1000", MassUnit.KG)) > 0) {
      errors.put("load", "The load must be from 0 to 1000 kg but was " + shown(amount) + " " + unit + ".");
      return none;
    }
    return Mass.of(amount, unit);
  }

  private int reps(Map<String, String> errors) {
    BigDecimal count = decimal(reps);
    if (count == null || count.stripTrailingZeros().scale() > 0) {
      errors.put("reps", "Write the good reps as a whole number, such as 5.");
      return 0;
    }
    if (count.signum() < 0 || count.compareTo(BigDecimal.valueOf(MOST_REPS)) > 0) {
      errors.put("reps", "The reps must be from 0 to 100 but were " + shown(count) + ".");
      return 0;
    }
    return count.intValueExact();
  }

  /** A time or a distance; null where nothing was typed. */
  private static @Nullable BigDecimal measure(String field, @Nullable String typed, String what, Map<String, String> errors) {
    if (typed == null || typed.isBlank()) {
      return null;
    }
    BigDecimal value = decimal(typed);
    if (value == null || value.signum() < 0 || value.compareTo(BigDecimal.valueOf(3600)) > 0) {
      errors.put(field, "Write the " + what + " as a number from 0 to 3600, or leave it out.");
      return null;
    }
    return value;
  }

  private @Nullable Rpe rating(Map<String, String> errors) {
    if (rpe == null || rpe.isBlank() || easier()) {
      return null;
    }
    BigDecimal value = decimal(rpe);
    try {
      if (value != null) {
        return Rpe.of(value.doubleValue());
      }
      errors.put("rpe", "Write the RPE as a number from 6 to 10, or leave it out.");
    } catch (Refused refused) {
      errors.put("rpe", refused.sentence());
    }
    return null;
  }

  /** The ref of the line it was typed for; empty for what is none. */
  Optional<UUID> line() {
    return Typed.uuid(slot);
  }

  /** Which set of its line. */
  LoggedSet.Place place() {
    return new LoggedSet.Place(number(part), number(set));
  }

  private static @Nullable BigDecimal decimal(@Nullable String text) {
    String plain = text == null ? "" : text.strip().replace(',', '.').replace('−', '-');
    if (plain.isEmpty() || plain.length() > 12 || !plain.matches("-?\\d+(\\.\\d*)?")) {
      return null;
    }
    return new BigDecimal(plain.endsWith(".") ? plain.substring(0, plain.length() - 1) : plain);
  }

  private static String shown(BigDecimal number) {
    return number.stripTrailingZeros().toPlainString();
  }

  private static int number(@Nullable Integer number) {
    return number == null ? 0 : number;
  }
}
