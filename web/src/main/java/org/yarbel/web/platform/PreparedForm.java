package org.yarbel.web.platform;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.contest.LiftDay;
import org.yarbel.core.contest.RuleSet;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.Refused;
import org.yarbel.web.contest.Prepared;
import org.yarbel.web.form.Typed;

/** What is typed of a day beforehand: rack heights, openers that are decided, and what somebody aims at. */
final class PreparedForm {
  private static final int MOST_RACK = 20;
  private static final int MOST_PLACE = 99;
  private static final String RACK = "rack.";
  private static final String OPENER = "opener.";
  private static final String AIM = "aim";

  private PreparedForm() {}

  static Map<String, String> fields(Prepared prepared) {
    Map<String, String> fields = new HashMap<>();
    prepared.racks().forEach((lift, rack) -> fields.put(RACK + lift, rack));
    prepared.openers().forEach((lift, load) -> fields.put(OPENER + lift, load.number()));
    Prepared.Aim aim = prepared.aim();
    if (aim != null) {
      fields.put(AIM, aim.kind().name());
      fields.put("aimLoad", aim.load() == null ? "" : aim.load().number());
      fields.put("aimLift", aim.lift());
      fields.put("aimPlace", aim.place() == 0 ? "" : Integer.toString(aim.place()));
    }
    return fields;
  }

  /** Reads it over what was there; empty when something is wrong, with what is wrong noted. */
  static Optional<Prepared> read(Typed typed, Prepared before, RuleSet rules) {
    Map<String, String> racks = new HashMap<>();
    Map<String, Mass> openers = new HashMap<>();
    for (String lift : rules.platform().lifts()) {
      String rack = typed.note(RACK + lift, MOST_RACK);
      if (!rack.isEmpty()) {
        racks.put(lift, rack);
      }
      Mass opener = typed.mass(OPENER + lift, rules.attempts().step().unit());
      if (opener != null) {
        allowed(typed, lift, opener, rules);
        openers.put(lift, opener);
      }
    }
    Prepared.Aim aim = aim(typed, rules);
    return typed.fine() ? Optional.of(new Prepared(racks, before.packed(), aim, openers, before.warmUps(), before.gym()))
        : Optional.empty();
  }

  private static void allowed(Typed typed, String lift, Mass opener, RuleSet rules) {
    try {
      new LiftDay(lift, List.of()).check(rules, opener, false);
    } catch (Refused refused) {
      typed.wrong(OPENER + lift, refused);
    }
  }

  private static Prepared.@Nullable Aim aim(Typed typed, RuleSet rules) {
    Optional<Prepared.AimKind> kind = typed.choice(AIM, Prepared.AimKind.class);
    if (kind.isEmpty()) {
      return null;
    }
    if (kind.get() == Prepared.AimKind.PLACE) {
      Integer place = typed.whole("aimPlace", "The place", 1, MOST_PLACE);
      if (place == null) {
        typed.wrong("aimPlace", "Write the place, such as 3.");
        return null;
      }
      return new Prepared.Aim(kind.get(), null, "", place);
    }
    Mass load = typed.total("aimLoad");
    if (load == null) {
      typed.wrong("aimLoad", "Write what is aimed at in kg, such as 542.5.");
    }
    boolean record = kind.get() == Prepared.AimKind.RECORD;
    if (record && !rules.platform().lifts().contains(typed.text("aimLift"))) {
      typed.wrong("aimLift", "Choose the lift of the record.");
    }
    return load == null ? null : new Prepared.Aim(kind.get(), load, record ? typed.text("aimLift") : "", 0);
  }
}
