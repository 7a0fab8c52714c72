package org.yarbel.web.call;

import jakarta.persistence.EntityManager;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeSet;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import org.yarbel.core.call.Call;
import org.yarbel.core.call.LineChange;
import org.yarbel.core.call.Picture;
import org.yarbel.core.call.Proposal;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.core.watch.Finding;
import org.yarbel.core.watch.Severity;
import org.yarbel.web.club.Turns;
import org.yarbel.web.column.CoreJson;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/**
 * What a proposal would make of the plan, found out by doing it: the edits are made through their doors in a transaction of their own,
 * the weeks are read and looked at by the checks, and the transaction is taken back. So what methods would write anew is seen as well.
 */
@Service
class Preview {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);
  private static final int MOST = 24;

  private final CallRepository calls;
  private final LifterRepository lifters;
  private final PictureReader reader;
  private final Taking taking;
  private final CoreJson json;
  private final Turns turns;
  private final EntityManager entities;
  private final TransactionTemplate apart;

  Preview(CallRepository calls, LifterRepository lifters, PictureReader reader, Taking taking, CoreJson json, Turns turns,
      EntityManager entities, PlatformTransactionManager transactions) {
    this.calls = calls;
    this.lifters = lifters;
    this.reader = reader;
    this.taking = taking;
    this.json = json;
    this.turns = turns;
    this.entities = entities;
    this.apart = new TransactionTemplate(transactions);
    apart.setPropagationBehavior(TransactionTemplate.PROPAGATION_REQUIRES_NEW);
  }

  /**
   * What would be.
   *
   * @param lines that would say something else or come to other loads
   * @param more how many more of them
   * @param found what the checks would say that they do not say now
   * @param gone what they say now and would not
   * @param why nothing can be told; null where it can
   */
  record Previewed(List<PreviewLine> lines, int more, List<String> found, List<String> gone, @Nullable String why) {}

  /** A line before and after. */
  record PreviewLine(String day, String lift, String before, String after) {}

  private record Seen(Map<UUID, PreviewLine> lines, Map<LocalDate, List<Finding>> findings) {}

  Previewed of(long id, int number, SignedIn who) {
    Previewed previewed = apart.execute(status -> {
      status.setRollbackOnly();
      CallRow row = calls.findById(id).orElseThrow(NotFound::new);
      Proposal proposal = json.read(row.document(), Call.class).proposal(number).orElseThrow(NotFound::new);
      Lifter lifter = lifters.findById(row.lifterId()).orElseThrow(NotFound::new);
      turns.ofLifter(lifter.id());
      Seen before = seen(lifter);
      try {
        taking.take(lifter, proposal.effects(), "looked at", who);
      } catch (Taking.Stale stale) {
        return new Previewed(List.of(), 0, List.of(), List.of(), stale.sentence());
      }
      entities.flush();
      entities.clear();
      return compared(before, seen(lifters.findById(row.lifterId()).orElseThrow(NotFound::new)));
    });
    if (previewed == null) {
      throw new NotFound();
    }
    return previewed;
  }

  private Seen seen(Lifter lifter) {
    PictureReader.Read read = reader.read(lifter);
    Picture picture = read.picture();
    Map<UUID, PreviewLine> lines = new LinkedHashMap<>();
    picture.sessions().stream().filter(session -> !session.day().isBefore(picture.today()))
        .forEach(session -> session.lines().forEach(line ->
        lines.put(line.ref(), new PreviewLine(DAY.format(session.day()), line.lift().name(), line.planned().work(),
            Shown.loads(LineChange.resolved(picture, line.planned()))))));
    Map<LocalDate, List<Finding>> findings = new LinkedHashMap<>();
    LocalDate monday = Macrocycle.monday(picture.today());
    for (LocalDate week : List.of(monday, monday.plusWeeks(1))) {
      findings.put(week, reader.seen(read, week).findings());
    }
    return new Seen(lines, findings);
  }

  private static Previewed compared(Seen before, Seen after) {
    List<PreviewLine> lines = new ArrayList<>();
    TreeSet<UUID> refs = new TreeSet<>(before.lines().keySet());
    refs.addAll(after.lines().keySet());
    for (UUID ref : refs) {
      PreviewLine was = before.lines().get(ref);
      PreviewLine is = after.lines().get(ref);
      if (was == null && is != null) {
        lines.add(new PreviewLine(is.day(), is.lift(), "", said(is)));
      } else if (is == null && was != null) {
        lines.add(new PreviewLine(was.day(), was.lift(), said(was), ""));
      } else if (was != null && !was.equals(is)) {
        lines.add(new PreviewLine(is.day(), is.lift(), said(was) + (was.day().equals(is.day()) ? "" : ", " + was.day()), said(is)));
      }
    }
    List<String> found = new ArrayList<>();
    List<String> gone = new ArrayList<>();
    after.findings().forEach((week, of) -> {
      found.addAll(only(of, before.findings().getOrDefault(week, List.of())));
      gone.addAll(only(before.findings().getOrDefault(week, List.of()), of));
    });
    return new Previewed(lines.stream().limit(MOST).toList(), Math.max(0, lines.size() - MOST), found, gone, null);
  }

  private static String said(PreviewLine line) {
    return line.before() + (line.after().isEmpty() ? "" : ": " + line.after());
  }

  /** What one list finds and the other does not; notes are not worth a second look here. */
  private static List<String> only(List<Finding> of, List<Finding> other) {
    List<String> there = other.stream().map(finding -> finding.check() + finding.lift() + finding.day()).toList();
    return of.stream().filter(finding -> finding.severity() != Severity.NOTE && !there.contains(finding.check() + finding.lift()
        + finding.day())).map(Finding::sentence).toList();
  }
}
