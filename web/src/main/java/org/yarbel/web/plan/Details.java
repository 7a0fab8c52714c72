package org.yarbel.web.plan;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.util.EnumSet;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.PlannedLine;
import org.yarbel.core.lift.Gear;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/**
 * What is said of a line beside its work; what is null is as usual.
 *
 * @param optional whether the lifter may leave it out
 * @param bar the name of another bar of the place
 * @param gear null: the lifter's normal; {@code none}; or names of {@link Gear} with commas between
 * @param gearFromNg the load it goes on from
 * @param reason why it is done
 * @param cues what to think of while lifting
 * @param mind what to take care of
 * @param ramp the warm-up as written by hand
 * @param agreed whether the coach has said that a beginner does it, where that is needed
 */
@Embeddable
public record Details(boolean optional, @Nullable String bar, @Nullable String gear, @Nullable Long gearFromNg,
    @Enumerated(EnumType.STRING) @Nullable MassUnit gearFromUnit, @Nullable String reason, @Nullable String cues,
    @Nullable String mind, @Nullable String ramp, boolean agreed) {
  /** Nothing that needs the coach's word. */
  public Details(boolean optional, @Nullable String bar, @Nullable String gear, @Nullable Long gearFromNg, @Nullable MassUnit gearFromUnit,
      @Nullable String reason, @Nullable String cues, @Nullable String mind, @Nullable String ramp) {
    this(optional, bar, gear, gearFromNg, gearFromUnit, reason, cues, mind, ramp, false);
  }

  /** The same with the coach's word, or without. */
  public Details withWord(boolean given) {
    return new Details(optional, bar, gear, gearFromNg, gearFromUnit, reason, cues, mind, ramp, given);
  }

  /** The same with what to take care of, cut to what fits. */
  public Details withMind(String what) {
    return new Details(optional, bar, gear, gearFromNg, gearFromUnit, reason, cues, cut(what, MOST_MIND), ramp, agreed);
  }

  /** The same with why it is done, cut to what fits. */
  public Details withReason(String why) {
    return new Details(optional, bar, gear, gearFromNg, gearFromUnit, cut(why, MOST_REASON), cues, mind, ramp, agreed);
  }

  private static String cut(String text, int most) {
    return text.substring(0, Math.min(most, text.length()));
  }

  private static final int MOST_REASON = 200;
  private static final int MOST_MIND = 300;

  /** Everything as usual. */
  public static final Details NONE = new Details(false, null, null, null, null, null, null, null, null);

  /** No gear at all. */
  public static final String NO_GEAR = "none";

  /** The gear that is named; empty for the lifter's normal and for none. */
  public Set<Gear> pieces() {
    Set<Gear> pieces = EnumSet.noneOf(Gear.class);
    for (Gear piece : Gear.values()) {
      if (gear != null && ("," + gear + ",").contains("," + piece.name() + ",")) {
        pieces.add(piece);
      }
    }
    return pieces;
  }

  /** The load gear goes on from; null from the first. */
  public @Nullable Mass gearFrom() {
    return gearFromNg == null || gearFromUnit == null ? null : Mass.ofNanograms(gearFromNg, gearFromUnit);
  }

  /** What to wear, in words: {@code belt, knee sleeves from 140 kg}; null when it is as usual. */
  public @Nullable String gearWords() {
    Mass from = gearFrom();
    String start = from == null ? "" : " from " + from.text();
    if (gear == null) {
      return from == null ? null : "usual gear" + start;
    }
    return gear.equals(NO_GEAR) ? "no gear"
        : pieces().stream().map(Gear::word).collect(Collectors.joining(", ")) + start;
  }

  /** What of it changes the loads. */
  public PlannedLine.Beside beside() {
    return new PlannedLine.Beside(bar, ramp);
  }

  /** Whether anything is said at all. */
  public boolean any() {
    return !equals(NONE);
  }
}
