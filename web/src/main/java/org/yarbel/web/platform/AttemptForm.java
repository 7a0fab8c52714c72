package org.yarbel.web.platform;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.contest.RuleSet;
import org.yarbel.core.contest.Verdict;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.Refused;
import org.yarbel.web.form.Typed;

/** What is typed and pressed of an attempt. */
final class AttemptForm {
  private static final int LIGHTS = 3;
  private static final int MOST_SEEN = 40;
  private static final String GOOD = "good";
  private static final String MISSED = "missed";

  private AttemptForm() {}

  /** Reads it; empty when something is wrong, with what is wrong noted. */
  static Optional<PlatformLog.AttemptEntry> read(Typed typed, RuleSet rules) {
    UUID key = Typed.uuid(typed.text("key")).orElse(null);
    Integer number = typed.whole("number", "The number of the attempt", 1, RuleSet.Attempts.MOST);
    Mass load = typed.mass("load", rules.attempts().step().unit());
    if (load == null) {
      typed.wrong("load", "Write the load, such as 142.5.");
    }
    Verdict verdict = verdict(typed);
    String seen = typed.text("seen");
    if (key == null || number == null || load == null || seen.length() > MOST_SEEN || !typed.fine()) {
      typed.wrong("load", "This entry is not whole: load the page again and enter it once more.");
      return Optional.empty();
    }
    return Optional.of(new PlatformLog.AttemptEntry(key, new AttemptSpot(typed.text("lift"), number), seen, load, verdict,
        typed.ticked("record")));
  }

  private static @Nullable Verdict verdict(Typed typed) {
    String said = typed.text("verdict");
    Integer whites = typed.whole("whites", "The white lights", 0, LIGHTS);
    if (said.isEmpty() && whites == null) {
      if (!typed.empty("look") || !typed.empty("reason")) {
        typed.wrong("verdict", "Say first whether it was good.");
      }
      return null;
    }
    boolean good = said.isEmpty() ? whites > LIGHTS / 2 : said.equals(GOOD);
    if (!said.isEmpty() && !said.equals(GOOD) && !said.equals(MISSED)) {
      typed.wrong("verdict", "Say whether it was good or not.");
    }
    try {
      return new Verdict(good, whites, good ? null : typed.choice("reason", Verdict.Reason.class).orElse(null), good
          ? typed.choice("look", Verdict.Look.class).orElse(null) : null);
    } catch (Refused refused) {
      typed.wrong("whites", refused);
      return null;
    }
  }

  /** The question that is asked where something else stands there. */
  static AthleteView.DiffersView differs(PlatformLog.Outcome.Differs differs, Typed typed, RuleSet rules) {
    return new AthleteView.DiffersView(differs.words(), differs.now(), fields(typed, differs.now()), words(typed, rules));
  }

  /** The fields of an entry, to be sent again over what stands there. */
  private static Map<String, String> fields(Typed typed, String now) {
    Map<String, String> fields = new LinkedHashMap<>();
    for (String name : new String[] {"lift", "number", "load", "verdict", "whites", "reason", "look", "record"}) {
      if (!typed.empty(name)) {
        fields.put(name, typed.text(name));
      }
    }
    fields.put("seen", now);
    fields.put("key", UUID.randomUUID().toString());
    return fields;
  }

  /** An entry in words: {@code 127.5 kg good}. */
  private static String words(Typed typed, RuleSet rules) {
    Mass load = new Typed(typed.fields()).mass("load", rules.attempts().step().unit());
    String verdict = switch (typed.text("verdict")) {
      case GOOD -> " good";
      case MISSED -> " not good";
      default -> " handed in";
    };
    return (load == null ? "" : load.text()) + verdict;
  }
}
