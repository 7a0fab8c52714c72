package org.yarbel.web.platform;

import org.jspecify.annotations.Nullable;
import org.yarbel.core.contest.Attempt;
import org.yarbel.core.contest.Verdict;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.form.Typed;

/** An attempt as it is read for a table: a contest has 1800 of them, and none is changed there. */
record AttemptSeen(long athleteId, String lift, int number, long loadNg, MassUnit loadUnit, int changed, @Nullable Boolean good,
    @Nullable Integer whites, @Nullable String reason, Verdict.@Nullable Look look) {

  Attempt attempt() {
    Verdict verdict = good == null ? null : new Verdict(good, whites, Typed.named(Verdict.Reason.class, reason).orElse(null), look);
    return new Attempt(number, Mass.ofNanograms(loadNg, loadUnit), changed, verdict);
  }
}
