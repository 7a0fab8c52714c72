package org.yarbel.core.card;

import java.util.List;
import java.util.Objects;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.kit.Loading;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Load;
import org.yarbel.core.notation.Option;
import org.yarbel.core.notation.ParsedLine;
import org.yarbel.core.notation.Part;
import org.yarbel.core.notation.Reps;
import org.yarbel.core.notation.Work;

/** Works out the sets of one part: a method a kind of work. */
final class PartResolver implements Work.Visitor<@Nullable Void> {
  /** The proposed sets of a build-up, as shares of the last. Our own default. */
  private static final double[] BUILD_SHARES = {0.85, 0.90, 0.95, 1};

  private final Progress progress;
  private final Resolver.Request request;
  private final Part part;
  private final int number;
  private final Hanging hanging;
  private final LoadFinder finder;
  private LoadSource.Rounding rounding = LoadSource.Rounding.NEAREST;
  /** Whether a written mass stays what it is: an implement has what it has. */
  private boolean writtenStays;

  // the options of the part, looked up once
  private final @Nullable Integer rest;
  private final @Nullable String tempo;
  private final @Nullable String stop;
  private final @Nullable Mass basis;

  PartResolver(Progress progress, Part part, int number, ParsedLine.Places places) {
    this.progress = progress;
    this.request = progress.request();
    this.part = part;
    this.number = number;
    this.hanging = Hanging.of(part);
    this.finder = new LoadFinder(progress, part, number, places, hanging);
    this.rest = part.option(Option.Rest.class).map(Option.Rest::seconds).orElse(null);
    this.tempo = part.option(Option.Tempo.class).map(Option.Tempo::text).orElse(null);
    String until = part.option(Option.Until.class).map(Option.Until::text).orElse(null);
    this.stop = part.option(Option.Cap.class).map(cap -> "@" + cap.rpe()).orElse(until);
    this.basis = request.numbers().of(request.basis());
  }

  void resolve() {
    part.work().accept(this);
    furtherAttempts();
    if (progress.problems().isEmpty()) {
      new PartCautions(progress, part, number, hanging).say();
    }
  }

  /** What was logged behind the sets that were asked, such as a lighter attempt after a miss. */
  private void furtherAttempts() {
    Progress.Entry last = null;
    for (Progress.Entry entry : progress.entries()) {
      last = entry.planned().part() == number ? entry : last;
    }
    if (last == null || !progress.problems().isEmpty()) {
      return;
    }
    for (LoggedSet more : progress.loggedBehind(number, last.planned().set())) {
      ResolvedSet planned = last.planned().asAttempt(more.set());
      progress.add(new Progress.Entry(planned, planned.asLogged(more, plates(more.load(), last.onBar()),
          hanging.ends(more.load())), last.onBar(), hanging.any()));
    }
  }

  /** What is asked of one set, its load aside. */
  private record Asked(Role role, @Nullable Integer reps, @Nullable Integer repsTo, @Nullable Rpe rpe, @Nullable Rpe rpeTo,
      @Nullable String stop, ResolvedSet.@Nullable Clock clock, ResolvedSet.@Nullable Distance distance) {}

  private Asked asked(Role role, @Nullable Integer reps, ResolvedSet.@Nullable Clock clock) {
    return new Asked(role, reps, null, part.rpe() == null ? null : part.rpe().from(), part.rpe() == null ? null : part.rpe().to(),
        stop, clock, null);
  }

  private @Nullable Void equal(int sets, Asked asked) {
    OptionalDouble reps = asked.reps() == null ? OptionalDouble.empty() : OptionalDouble.of(asked.reps());
    for (int set = 1; set <= sets && progress.problems().isEmpty(); set++) {
      add(set, asked, finder.target(reps));
    }
    return null;
  }

  private void add(int set, Asked asked, Target target) {
    if (!progress.problems().isEmpty()) {
      return;
    }
    Mass exact = target.exact();
    Mass load = target.bar();
    List<Mass> perSide = null;
    if (load != null && target.onBar() && request.loadables() != null) {
      Loading loading = loading(load, request.loadables());
      load = loading == null ? load : loading.total().shownIn(request.unit());
      perSide = loading == null || !request.loadables().onBar() ? null : loading.perSide();
    }
    ResolvedSet planned = new ResolvedSet(number, set, asked.role(), exact, load, asked.reps(), asked.repsTo(), asked.rpe(),
        asked.rpeTo(), exact == null || basis == null ? null : Double.valueOf(100 * exact.ratioTo(basis)), perSide, rest, tempo,
        target.from(), target.to(), asked.stop(), false, hanging.ends(load), asked.clock(), asked.distance(), target.source(),
        rounding(target));
    LoggedSet done = progress.logged(number, set);
    ResolvedSet now = done == null ? planned
        : planned.asLogged(done, plates(done.load(), target.onBar()), hanging.ends(done.load()));
    progress.add(new Progress.Entry(planned, now, target.onBar(), hanging.any()));
    finder.follow(now);
  }

  private LoadSource.Rounding rounding(Target target) {
    boolean asItIs = target.bar() == null || !target.onBar() || request.loadables() == null
        || target.source() instanceof LoadSource.Written;
    return asItIs ? LoadSource.Rounding.NONE : rounding;
  }

  /** What is put on; null where a written mass stays though nothing here makes it. */
  private @Nullable Loading loading(Mass asked, Loadables loadables) {
    boolean written = part.load() instanceof Load.OfMass || part.work() instanceof Work.Series;
    Mass bar = written ? loadables.meant(asked) : asked;
    if (written && writtenStays) {
      Loading exact = loadables.exact(bar).orElse(null);
      if (exact == null && !loadables.onBar()) {
        progress.caution(Caution.noSuchMass(text(bar), text(loadables.nearest(bar).total())));
      }
      return exact;
    }
    Loading loading = written ? loadables.exact(bar).orElse(null) : null;
    if (loading == null) {
      loading = rounding == LoadSource.Rounding.DOWN ? loadables.nearestBelow(bar) : loadables.nearest(bar);
    }
    if (loadables.tooLight(bar)) {
      progress.caution(Caution.underBar(text(bar), text(loading.total())));
    } else if (loadables.tooHeavy(bar)) {
      progress.caution(Caution.beyondStock(text(bar), text(loading.total())));
    }
    return loading;
  }

  private @Nullable List<Mass> plates(Mass load, boolean onBar) {
    Loadables loadables = request.loadables();
    return loadables == null || !loadables.onBar() || !onBar ? null : loadables.exact(load).map(Loading::perSide).orElse(null);
  }

  private String text(Mass mass) {
    return mass.shownIn(request.unit()).text();
  }

  @Override
  public @Nullable Void sets(Work.SetsOfReps work) {
    Reps reps = work.reps();
    boolean open = reps instanceof Reps.Open;
    boolean atLeast = reps instanceof Reps.AtLeast;
    boolean backOff = part.load() != null && part.load().needsTop();
    OptionalDouble middle = reps.middle();
    for (int set = 1; set <= work.sets() && progress.problems().isEmpty(); set++) {
      boolean plus = atLeast && set == work.sets();
      Role closed = backOff ? Role.BACKOFF : Role.STRAIGHT;
      Role counted = plus ? Role.PLUS : closed;
      Role role = open ? Role.OPEN : counted;
      boolean capped = part.option(Option.Cap.class).isPresent();
      String end = (open || plus) && !capped ? ResolvedSet.STOPS_BY_FORM : stop;
      Asked base = asked(role, reps.least(), null);
      add(set, new Asked(role, reps.least(), reps.most(), base.rpe(), base.rpeTo(), end, null, null), finder.target(middle));
    }
    return null;
  }

  @Override
  public @Nullable Void build(Work.Build work) {
    Asked asked = asked(Role.BUILD, work.reps(), null);
    double rpe = Objects.requireNonNull(part.rpe()).middle();
    for (int set = 1; set <= work.sets() && progress.problems().isEmpty(); set++) {
      add(set, asked, finder.byRpe(work.reps(), rpe, BUILD_SHARES[set - 1], null));
    }
    return null;
  }

  @Override
  public @Nullable Void max(Work.Max work) {
    rounding = LoadSource.Rounding.DOWN;
    Rpe rpe = part.rpe() == null ? Rpe.MAX : part.rpe().from();
    add(1, new Asked(Role.MAX, work.reps(), null, rpe, null, stop, null, null), finder.byRpe(work.reps(), rpe.value(), 1, null));
    return null;
  }

  @Override
  public @Nullable Void cluster(Work.Cluster work) {
    rounding = LoadSource.Rounding.DOWN;
    return equal(work.sets(), asked(Role.CLUSTER, work.singles(), clock(null)));
  }

  @Override
  public @Nullable Void density(Work.Density work) {
    rounding = LoadSource.Rounding.DOWN;
    return equal(1, asked(Role.DENSITY, work.goal(), clock(null)));
  }

  @Override
  public @Nullable Void emom(Work.Emom work) {
    int every = part.option(Option.Every.class).map(Option.Every::seconds).orElse(Work.Emom.SECONDS);
    return equal(work.sets(), asked(Role.EMOM, work.reps(), ResolvedSet.Clock.of(null, null, null, every)));
  }

  @Override
  public @Nullable Void negative(Work.Negative work) {
    rounding = LoadSource.Rounding.DOWN;
    equal(work.sets(), asked(Role.NEGATIVE, work.reps(), null));
    finder.checkNegative(progress.entries().stream().map(Progress.Entry::planned).filter(set -> set.part() == number).toList());
    return null;
  }

  @Override
  public @Nullable Void hold(Work.Hold work) {
    writtenStays = true;
    return equal(work.sets(), asked(Role.HOLD, null, clock(work.seconds())));
  }

  @Override
  public @Nullable Void timed(Work.Timed work) {
    writtenStays = true;
    return equal(work.sets(), asked(Role.TIMED, null, clock(work.seconds())));
  }

  @Override
  public @Nullable Void carry(Work.Carry work) {
    writtenStays = true;
    Integer turns = part.option(Option.Turns.class).map(Option.Turns::count).orElse(null);
    Asked asked = asked(Role.CARRY, null, clock(null));
    return equal(work.sets(), new Asked(asked.role(), null, null, asked.rpe(), asked.rpeTo(), stop, asked.clock(),
        new ResolvedSet.Distance(work.metres(), turns)));
  }

  @Override
  public @Nullable Void series(Work.Series work) {
    writtenStays = true;
    Asked asked = asked(Role.SERIES, 1, clock(null));
    for (int set = 1; set <= work.sets(); set++) {
      add(set, asked, Target.written(work.masses().get(set - 1).shownIn(request.unit())));
    }
    return null;
  }

  @Override
  public @Nullable Void warm(Work.Warm work) {
    return equal(work.sets(), asked(Role.WARM, work.reps(), null));
  }

  private ResolvedSet.@Nullable Clock clock(@Nullable Integer seconds) {
    return ResolvedSet.Clock.of(seconds, part.option(Option.Gap.class).map(Option.Gap::seconds).orElse(null),
        part.option(Option.In.class).map(Option.In::seconds).orElse(null), null);
  }
}
