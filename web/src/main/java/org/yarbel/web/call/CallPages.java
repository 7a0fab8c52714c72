package org.yarbel.web.call;

import java.util.Collection;
import java.util.List;
import java.util.Set;
import org.springframework.data.domain.Limit;
import org.springframework.data.domain.PageRequest;
import org.springframework.data.domain.Slice;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.call.Call;
import org.yarbel.core.call.Effect;
import org.yarbel.core.call.Proposal;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.OwnLifters;
import org.yarbel.web.column.CoreJson;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.problem.NotFound;

/** Reads calls for the screens, in a fixed number of queries. */
@Service
class CallPages {
  private static final int A_PAGE = 40;
  private static final int MOST_PAGES = 10_000;
  private static final Limit DECIDED = Limit.of(12);

  private final CallRepository calls;
  private final LifterRepository lifters;
  private final PictureReader reader;
  private final CoreJson json;
  private final ClubClock clock;
  private final OwnLifters own;

  CallPages(CallRepository calls, LifterRepository lifters, PictureReader reader, CoreJson json, ClubClock clock,
      OwnLifters own) {
    this.own = own;
    this.calls = calls;
    this.lifters = lifters;
    this.reader = reader;
    this.json = json;
    this.clock = clock;
  }

  /**
   * The calls of the club that wait.
   *
   * @param safe whether only those are wanted that can be taken together
   */
  record Filter(String rule, boolean safe) {}

  /** A page of calls, from 0, and whether another comes behind it. */
  record Page(List<CallView> calls, int number, boolean more) {}

  /** Open calls of some lifters, or of all, what is most urgent first. */
  @Transactional(readOnly = true)
  Page open(boolean everybody, Collection<Long> of, Filter filter, int number) {
    int page = Math.min(Math.max(number, 0), MOST_PAGES);
    Slice<CallRepository.Named> found = calls.open(everybody, everybody ? List.of(0L) : of, filter.rule(), filter.safe(), everybody
        ? own.coach() : OwnLifters.EVERYBODY,
        PageRequest.of(page, A_PAGE));
    return new Page(found.stream().map(named -> view(named.getCall(), named.getName())).toList(), page, found.hasNext());
  }

  CallView view(CallRow row, String lifter) {
    Call call = json.read(row.document(), Call.class);
    return CallView.of(row, call, json.read(row.shown(), Shown.class), lifter, row.lift().isEmpty() ? ""
        : reader.liftName(row.lift()).orElse(row.lift()), clock.zone());
  }

  @Transactional(readOnly = true)
  CallView view(long id) {
    CallRow row = calls.findById(id).orElseThrow(NotFound::new);
    return view(row, name(row));
  }

  CallView view(CallRow row) {
    return view(row, name(row));
  }

  private String name(CallRow row) {
    return lifters.findById(row.lifterId()).map(Lifter::name).orElse("");
  }

  /** What a line of a proposal comes to as it is being typed. */
  @Transactional(readOnly = true)
  Shown.TypedLine typed(long id, int proposal, int number, String text) {
    CallRow row = calls.findById(id).orElseThrow(NotFound::new);
    List<Effect> effects = json.read(row.document(), Call.class).proposal(proposal).map(Proposal::effects).orElse(List.of());
    if (number < 0 || number >= effects.size()) {
      throw new NotFound();
    }
    Lifter lifter = lifters.findById(row.lifterId()).orElseThrow(NotFound::new);
    return Shown.typed(reader.read(lifter).picture(), effects.get(number), text);
  }

  /** Open calls of a lifter, what is most urgent first. */
  @Transactional(readOnly = true)
  List<CallView> openOf(Lifter lifter) {
    return calls.open(false, List.of(lifter.id()), "", false, OwnLifters.EVERYBODY, PageRequest.of(0, A_PAGE)).stream()
        .map(named -> view(named.getCall(), named.getName())).toList();
  }

  /** What was decided of a lifter last, and what waits left to lie. */
  @Transactional(readOnly = true)
  List<CallView> decidedOf(Lifter lifter) {
    return calls.findByLifterIdAndStateInOrderByDecidedAtDesc(lifter.id(), Set.of(CallRow.State.TAKEN, CallRow.State.REFUSED,
        CallRow.State.LYING, CallRow.State.UNDONE), DECIDED).stream().map(row -> view(row, lifter.name())).toList();
  }
}
