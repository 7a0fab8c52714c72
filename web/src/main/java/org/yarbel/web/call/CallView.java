package org.yarbel.web.call;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.call.Call;
import org.yarbel.core.call.CallRule;
import org.yarbel.core.call.CallRules;
import org.yarbel.core.call.Fact;

/**
 * A call as the screens show it.
 *
 * @param chosen the number of the proposal that stands chosen
 * @param said what was just said of it; null for nothing
 * @param change whether a decision of it can be taken back
 */
public record CallView(long id, int version, long lifterId, String lifter, String rule, String title, String lift, String sentence,
    String urgency,
    String confidence, int sure, boolean safe, boolean caution, List<FactView> facts, List<Shown.ShownProposal> proposals, String state,
    boolean waits, String decided, String reason, int chosen, @Nullable String said, boolean change) {
  private static final DateTimeFormatter WHEN = DateTimeFormatter.ofPattern("EEE d MMM, HH:mm", Locale.ENGLISH);

  /** Something it rests on, with where it is looked at. */
  public record FactView(String words, String href) {}

  static CallView of(CallRow row, Call call, Shown shown, String lifter, String lift, ZoneId zone) {
    String decided = row.decidedAt() == null ? "" : (row.decidedBy() == null ? "" : row.decidedBy() + ", ")
        + WHEN.format(row.decidedAt().atZone(zone));
    String title = CallRules.ofKey(row.rule()).map(CallRule::title).orElse(row.rule());
    String word = row.state() == CallRow.State.TAKEN && row.proposal() != null && row.proposal() < shown.proposals().size()
        ? row.state().word() + ": " + shown.proposals().get(row.proposal()).words() : row.state().word();
    return new CallView(row.id(), row.version(), row.lifterId(), lifter, row.rule(), title, lift, call.sentence(), row.urgency().word(),
        row.confidence().word(), row.confidence().ordinal() + 1, row.safe(), row.urgency().ordinal() == 0,
        call.facts().stream().map(fact -> new FactView(fact.words(), href(row, fact))).toList(), shown.proposals(), word,
        row.state() == CallRow.State.OPEN, decided, row.reason(), 0, null, row.state().undoable());
  }

  CallView saying(String sentence) {
    return new CallView(id, version, lifterId, lifter, rule, title, lift, this.sentence, urgency, confidence, sure, safe, caution, facts,
        proposals, state, waits, decided, reason, chosen, sentence, change);
  }

  CallView choosing(int proposal) {
    return new CallView(id, version, lifterId, lifter, rule, title, lift, sentence, urgency, confidence, sure, safe, caution, facts,
        proposals, state, waits, decided, reason, proposal, said, change);
  }

  /** Whether there is something to take: else it only tells. */
  public boolean decides() {
    return proposals.stream().anyMatch(proposal -> !proposal.lines().isEmpty() || !proposal.others().isEmpty());
  }

  /** Whether it has a line that can be written otherwise before it is taken. */
  public boolean editable() {
    return proposals.stream().flatMap(proposal -> proposal.lines().stream()).anyMatch(line -> line.number() >= 0);
  }

  private static String href(CallRow row, Fact fact) {
    String lifter = "/lifters/" + row.lifterId();
    return switch (fact.kind()) {
      case SET, ESTIMATE -> lifter + "/ledger" + (row.lift().isEmpty() ? "" : "?lift=" + row.lift());
      case CHECK_IN -> lifter + "/check-ins";
      case SESSION -> "/sessions/" + fact.id() + "/card";
      case LINE -> lifter + "/week?of=" + fact.day();
      case METHOD -> lifter + "/progressions";
      case COMPLAINT, NUMBER, WEIGH_IN -> lifter;
    };
  }
}
