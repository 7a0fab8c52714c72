package org.yarbel.web.card;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.util.MultiValueMap;
import org.yarbel.core.card.Chosen;
import org.yarbel.core.card.HowEnded;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Gear;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.log.Context;
import org.yarbel.core.log.Mark;
import org.yarbel.core.log.RepSpeeds;
import org.yarbel.core.log.TechniqueMark;
import org.yarbel.core.mass.Refused;
import org.yarbel.web.form.Typed;
import org.yarbel.web.log.Said;

/**
 * What was tapped of a set beside its figures, as it came.
 *
 * @param asked whether anybody was asked at all: a row of figures alone asks nothing
 * @param worn null where the pieces stand as they were shown
 * @param marks each with what was typed as its rep
 * @param did what was typed as the lift that was done
 * @param chosen which of the loads that were offered was tapped; null for none of them
 * @param hurt where it hurt
 */
record SaidForm(boolean asked, Set<Context> contexts, String words, @Nullable Set<Gear> worn, Map<TechniqueMark, String> marks,
    String speeds, String did, @Nullable Chosen chosen, HurtForm hurt) {
  static final int MOST_WORDS = 200;
  private static final int LONGEST_LIFT = 60;
  private static final int LONGEST_FIELD = 1_000;

  static SaidForm of(MultiValueMap<String, String> form) {
    Map<TechniqueMark, String> marks = new LinkedHashMap<>();
    chosen(form, "mark", TechniqueMark.class).forEach(mark -> marks.put(mark, text(form, "rep." + mark)));
    Set<Gear> worn = chosen(form, "gear", Gear.class);
    boolean untouched = worn.equals(named(text(form, "wornWas").split(","), Gear.class));
    return new SaidForm(form.containsKey("chips"), chosen(form, "ctx", Context.class), text(form, "ctxWords"), untouched ? null : worn,
        marks, text(form, "speeds"), text(form, "did"),
        Typed.named(Chosen.class, text(form, "chosen")).orElse(null), HurtForm.of(form));
  }

  static String text(MultiValueMap<String, String> form, String field) {
    String typed = form.getFirst(field);
    return typed == null ? "" : typed.strip();
  }

  private static <E extends Enum<E>> Set<E> chosen(MultiValueMap<String, String> form, String field, Class<E> type) {
    return named(form.getOrDefault(field, List.of()).toArray(new String[0]), type);
  }

  /** The constants of these names; what is none is left out. */
  static <E extends Enum<E>> Set<E> named(String[] names, Class<E> type) {
    Set<String> all = Set.copyOf(Arrays.asList(names));
    Set<E> constants = EnumSet.noneOf(type);
    for (E constant : type.getEnumConstants()) {
      if (all.contains(constant.name())) {
        constants.add(constant);
      }
    }
    return constants;
  }

  /**
   * What is said, with a sentence for every field that cannot be.
   *
   * @param reps good reps of the set
   * @param ended how it ended; null where nobody said
   */
  Said check(Catalogue lifts, int reps, @Nullable HowEnded ended, Map<String, String> errors) {
    boolean further = reps == 0 || ended != null && ended.triedFurther();
    if (words.length() > MOST_WORDS) {
      errors.put("ctxWords", "It may have at most " + MOST_WORDS + " characters but has " + words.length() + ".");
    }
    Set<Context> states = EnumSet.noneOf(Context.class);
    states.addAll(contexts);
    if (!words.isEmpty()) {
      states.add(Context.SOMETHING_ELSE);
    }
    List<Mark> seen = marks.entrySet().stream().map(mark -> mark(mark.getKey(), mark.getValue(), reps, further, errors)).toList();
    RepSpeeds measured = measured(reps, further, errors);
    Optional<Lift> other = lift(lifts, did);
    if (!did.isEmpty() && other.isEmpty()) {
      errors.put("did", unknown(lifts, did));
    }
    return new Said(states, words.length() > MOST_WORDS ? "" : words, worn, seen, measured, other.map(Lift::key).orElse(null),
        chosen, ended == HowEnded.HURT ? hurt.check(errors) : null);
  }

  private static Mark mark(TechniqueMark what, String typed, int reps, boolean further, Map<String, String> errors) {
    if (typed.isEmpty()) {
      return new Mark(what, null);
    }
    if (!typed.matches("\\d{1,3}")) {
      errors.putIfAbsent("marks", "Write the rep of '" + what.word() + "' as a whole number, or leave it out.");
      return new Mark(what, null);
    }
    Mark mark = new Mark(what, Integer.valueOf(typed));
    try {
      mark.check(reps, further);
    } catch (Refused refused) {
      errors.putIfAbsent("marks", refused.sentence());
    }
    return mark;
  }

  private @Nullable RepSpeeds measured(int reps, boolean further, Map<String, String> errors) {
    if (speeds.isEmpty()) {
      return null;
    }
    try {
      RepSpeeds measured = RepSpeeds.parse(speeds.length() > LONGEST_FIELD ? speeds.substring(0, LONGEST_FIELD) : speeds);
      measured.check(reps, further);
      return measured;
    } catch (Refused refused) {
      errors.put("speeds", refused.sentence());
      return null;
    }
  }

  /** What to say of a text that names no lift, however long it is. */
  static String unknown(Catalogue lifts, String typed) {
    return lifts.unknown(typed.length() > LONGEST_LIFT ? typed.substring(0, LONGEST_LIFT) : typed);
  }

  /** The lift of a name or a key, as a list offers them. */
  static Optional<Lift> lift(Catalogue lifts, String typed) {
    return typed.isEmpty() ? Optional.empty() : lifts.named(typed);
  }
}
