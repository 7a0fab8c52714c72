package org.yarbel.web.platform;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.yarbel.core.contest.Attempt;
import org.yarbel.core.contest.Verdict;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Count;
import org.yarbel.core.mass.Refused;
import org.yarbel.web.contest.ContestAthlete;
import org.yarbel.web.contest.ContestAthlete.AthleteSaid;
import org.yarbel.web.who.SignedIn;

/** Takes a list of athletes and their attempts in: whoever is there already is not added again, and what stands already is not changed. */
@Service
class TakenIn {
  private static final int TOLD = 5;

  private final ContestDays days;
  private final PlatformLog log;

  TakenIn(ContestDays days, PlatformLog log) {
    this.days = days;
    this.log = log;
  }

  /** Takes it in; says in a sentence or more what came of it. */
  String take(long contestId, RivalSheet sheet, SignedIn who) {
    Day before = days.day(contestId);
    int added = 0;
    for (AthleteSaid said : sheet.people()) {
      if (named(before, said.name()).filter(there -> there.said().category().equals(said.category())).isEmpty()) {
        log.add(contestId, said, who);
        added++;
      }
    }
    List<String> left = new ArrayList<>();
    int entered = 0;
    Day day = days.day(contestId);
    for (RivalSheet.Lifted lifted : sheet.attempts()) {
      try {
        entered += enter(day, lifted, who);
      } catch (Refused refused) {
        left.add(lifted.name() + ", " + lifted.lift() + " " + lifted.number() + ": " + refused.sentence());
      }
    }
    String words = Count.of(added, "athlete") + " added" + (sheet.attempts().isEmpty() ? "" : ", " + Count.of(entered, "attempt")
        + " entered") + ". Each can be undone below.";
    return left.isEmpty() ? words : words + " Not taken: " + String.join(" ", left.subList(0, Math.min(TOLD, left.size())))
        + (left.size() > TOLD ? " And " + (left.size() - TOLD) + " more." : "");
  }

  private static Optional<ContestAthlete> named(Day day, String name) {
    return day.athletes().stream().filter(athlete -> day.name(athlete).equalsIgnoreCase(name)).findFirst();
  }

  private int enter(Day day, RivalSheet.Lifted lifted, SignedIn who) {
    ContestAthlete athlete = named(day, lifted.name()).orElseThrow(() -> new Refused("Nobody of this name lifts here"));
    String lift = day.lifts().named(lifted.lift()).map(Lift::key).orElseThrow(() -> new Refused(day.lifts().unknown(lifted.lift())));
    AttemptSpot spot = new AttemptSpot(lift, lifted.number());
    Attempt now = day.liftDay(athlete, lift).attempts().stream().filter(one -> one.number() == lifted.number()).findFirst().orElse(null);
    Verdict verdict = lifted.good() == null ? null : new Verdict(lifted.good(), null, null, null);
    Attempt wanted = new Attempt(lifted.number(), lifted.load(), 0, verdict);
    if (now != null && (Kept.seen(now).equals(Kept.seen(wanted)) || now.verdict() != null && verdict == null)) {
      return 0;
    }
    if (now != null && now.verdict() != null) {
      throw new Refused("It stands as " + Kept.seen(now) + ", and the list says " + Kept.seen(wanted));
    }
    String seen = Kept.seen(now);
    if (now == null || !now.load().equals(lifted.load())) {
      log.attempt(athlete.contestId(), athlete.id(), new PlatformLog.AttemptEntry(UUID.randomUUID(), spot, seen, lifted.load(), null,
          true), who);
      seen = lifted.load().toString();
    }
    if (verdict != null) {
      log.attempt(athlete.contestId(), athlete.id(), new PlatformLog.AttemptEntry(UUID.randomUUID(), spot, seen, lifted.load(), verdict,
          true), who);
    }
    return 1;
  }
}
