package org.yarbel.core.call;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** A call while its rule puts it together. */
final class Draft {
  private final CallRule rule;
  private final String lift;
  private String about = "";
  private Urgency urgency = Urgency.REST;
  private Confidence confidence = Confidence.LOW;
  private boolean risky;
  private final Map<String, Fact> facts = new LinkedHashMap<>();
  private final List<Proposal> proposals = new ArrayList<>();

  private Draft(CallRule rule, String lift) {
    this.rule = rule;
    this.lift = lift;
  }

  /** One about a lift, by its key; empty for the whole lifter. */
  static Draft of(CallRule rule, String lift) {
    return new Draft(rule, lift);
  }

  Draft about(String what) {
    about = what;
    return this;
  }

  Draft when(Urgency urgent) {
    urgency = urgent;
    return this;
  }

  Draft agreeing(int exposures) {
    confidence = Confidence.of(exposures);
    return this;
  }

  /** It is never safe: something is flagged, or it is no small matter whatever the loads do. */
  Draft risky() {
    risky = true;
    return this;
  }

  Draft because(List<Fact> more) {
    more.forEach(fact -> facts.putIfAbsent(fact.key(), fact));
    return this;
  }

  /** What stands beside, and is no news. */
  Draft beside(List<Fact> more) {
    return because(more.stream().map(Fact::beside).toList());
  }

  Draft because(Fact fact) {
    return because(List.of(fact));
  }

  /** Proposes something; left out where it would change nothing. */
  Draft propose(String words, List<Effect> effects) {
    if (!effects.isEmpty()) {
      proposals.add(new Proposal(words, effects));
    }
    return this;
  }

  Draft leave(String words) {
    proposals.add(Proposal.nothing(words));
    return this;
  }

  boolean proposes() {
    return !proposals.isEmpty();
  }

  Call saying(String sentence) {
    return new Call(rule.key(), lift, about, sentence, List.copyOf(facts.values()), confidence, urgency, !risky, proposals);
  }
}
