package org.yarbel.core.call;

import java.util.List;
import java.util.Optional;

/**
 * What a coach could decide now, and why. It is never applied by itself.
 *
 * @param rule the key of the rule that made it
 * @param lift what it is about, a key; empty for the whole lifter
 * @param about what tells it apart from others of its rule and lift, such as a mark or a place of the body; mostly empty
 * @param sentence the evidence with this lifter's figures and dates
 * @param facts what it rests on, the newest first
 * @param safe whether it can be taken with others at once: nothing flagged, no pain, at most one step or 2.5 %
 * @param proposals the first is what we would do; none where it only tells
 */
public record Call(String rule, String lift, String about, String sentence, List<Fact> facts, Confidence confidence, Urgency urgency,
    boolean safe, List<Proposal> proposals) {
  public Call {
    facts = List.copyOf(facts);
    proposals = List.copyOf(proposals);
  }

  /** One of its proposals, from 0; empty where it has none of that number. */
  public Optional<Proposal> proposal(int number) {
    return number < 0 || number >= proposals.size() ? Optional.empty() : Optional.of(proposals.get(number));
  }

  /** The matter it is about: the same matter makes one call, not one a day. */
  public String matter() {
    return matter(rule, lift, about);
  }

  static String matter(String rule, String lift, String about) {
    return rule + "/" + lift + "/" + about;
  }

  /** The facts as they are told apart: a call that was refused comes back only with new ones. */
  public List<String> factKeys() {
    return facts.stream().filter(Fact::news).map(Fact::key).sorted().toList();
  }

  /** Whether nothing has to be decided: it tells what a method did. */
  public boolean tells() {
    return proposals.stream().allMatch(proposal -> proposal.effects().isEmpty());
  }

  Call with(boolean nowSafe, List<Proposal> left) {
    return new Call(rule, lift, about, sentence, facts, confidence, urgency, nowSafe, left);
  }
}
