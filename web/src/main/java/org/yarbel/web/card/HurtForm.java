package org.yarbel.web.card;

import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.util.MultiValueMap;
import org.yarbel.core.log.BodyPlace;
import org.yarbel.core.log.Pain;
import org.yarbel.core.mass.Refused;
import org.yarbel.web.form.Typed;

/** Where it hurt when a set ended by it, as it came; all of it may be left out. */
record HurtForm(String place, String side, String score, String worse) {
  /** What is asked where a place or a score stands alone. */
  static final String WHERE = "Say where it hurts.";
  static final String HOW_MUCH = "Say how much it hurts, from 0 to " + Pain.MOST + ".";
  /** Nothing was said. */
  static final HurtForm NOTHING = new HurtForm("", "", "", "");

  static HurtForm of(MultiValueMap<String, String> form) {
    return new HurtForm(SaidForm.text(form, "hurtPlace"), SaidForm.text(form, "hurtSide"), SaidForm.text(form, "hurtScore"),
        SaidForm.text(form, "hurtWorse"));
  }

  /** The pain that is told, with a sentence for what cannot be; null where none is told. */
  @Nullable Pain check(Map<String, String> errors) {
    Optional<BodyPlace> where = Typed.named(BodyPlace.class, place);
    if (where.isEmpty() && score.isEmpty()) {
      return null;
    }
    if (where.isEmpty()) {
      errors.put("hurt", WHERE);
      return null;
    }
    if (!score.matches("\\d{1,3}")) {
      errors.put("hurt", HOW_MUCH);
      return null;
    }
    try {
      return new Pain(where.get(), Typed.named(Pain.Side.class, side).orElse(null), Integer.parseInt(score), worse);
    } catch (Refused refused) {
      errors.put("hurt", refused.sentence());
      return null;
    }
  }
}
