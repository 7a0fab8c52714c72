package org.yarbel.core.call;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.yarbel.core.card.HowEnded;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.log.TechniqueMark;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.WorkLine;

/** Form that goes the same way again and again: loads under where it goes although the reps were made, and work on the weak point. */
final class FormWent implements LiftRule {
  private static final int SESSIONS = 5;
  private static final int TWICE = 2;
  private static final int NEWS = 14;
  private static final int HELPS = 1;
  private static final String MIND = "Mind: ";

  @Override
  public String key() {
    return "form-went";
  }

  @Override
  public String title() {
    return "form went";
  }

  @Override
  public String source() {
    return PRACTICE;
  }

  @Override
  public String when() {
    return "The same mark in three of five sessions, or 'form went' twice at a load or more: loads under it although the reps were made, a "
        + "cue, and work on the weak point; where it shows under 60 %, too, the cue and the work alone.";
  }

  @Override
  public List<CallFigure> figures() {
    return List.of(CallFigure.CALL_MARKS, CallFigure.CALL_FORM_RESET);
  }

  /** Sets that show the same, of several sessions. */
  private record Seen(List<Past> sessions, List<Fact> facts, List<Mass> loads) {
    Seen() {
      this(new ArrayList<>(), new ArrayList<>(), new ArrayList<>());
    }

    void add(Past past, Picture.Lifted set) {
      if (!sessions.contains(past)) {
        sessions.add(past);
      }
      facts.add(Say.fact(past.day(), set));
      loads.add(set.load());
    }

    Mass lightest() {
      return loads.stream().min(Comparator.naturalOrder()).orElseThrow();
    }
  }

  @Override
  public Optional<Call> of(Picture picture, String lift) {
    List<Past> last = picture.exposures(lift).stream().limit(SESSIONS).toList();
    if (last.isEmpty() || last.get(0).day().isBefore(picture.today().minusDays(NEWS))) {
      return Optional.empty();
    }
    Map<TechniqueMark, Seen> marks = new EnumMap<>(TechniqueMark.class);
    Seen went = new Seen();
    for (Past past : last) {
      for (Picture.Lifted set : past.sets()) {
        set.marks().stream().distinct().filter(mark -> mark != TechniqueMark.OTHER)
            .forEach(mark -> marks.computeIfAbsent(mark, any -> new Seen()).add(past, set));
        if (set.ended() == HowEnded.FORM_WENT) {
          went.add(past, set);
        }
      }
    }
    Optional<Map.Entry<TechniqueMark, Seen>> same = marks.entrySet().stream()
        .filter(entry -> entry.getValue().sessions().size() >= picture.of(CallFigure.CALL_MARKS))
        .max(Comparator.comparingInt(entry -> entry.getValue().sessions().size()));
    if (same.isPresent()) {
      return Optional.of(marked(picture, lift, same.get().getKey(), same.get().getValue(), last.size()));
    }
    return went.facts().size() >= TWICE ? Optional.of(without(picture, lift, went)) : Optional.empty();
  }

  private Call marked(Picture picture, String key, TechniqueMark mark, Seen seen, int of) {
    Lift lift = picture.context().lift(key);
    Draft draft = Draft.of(this, key).about(mark.word()).agreeing(seen.sessions().size()).because(seen.facts())
        .when(mark.caution().isPresent() ? Urgency.CAUTION : Urgency.REST);
    Optional<WeakPoints.Row> weak = WeakPoints.of(lift, mark);
    // what shows in light work, too, is no matter of the load
    boolean always = picture.light(lift, seen.lightest());
    List<Effect> lines = always ? cued(picture, key, mark.word()) : under(picture, key, seen.lightest(), mark.word());
    String first = always ? "A cue" : "Under " + seen.lightest().text();
    List<Effect> help = weak.map(row -> help(picture, row, lift)).orElse(List.of());
    String train = weak.map(WeakPoints.Row::trains).orElse("");
    if (lines.isEmpty() || help.isEmpty()) {
      draft.propose("Work on " + train, help).propose(first, lines);
    } else {
      List<Effect> both = new ArrayList<>(lines);
      both.addAll(help);
      draft.propose(first + ", and work on " + train, both).propose("Only the work on " + train, help)
          .propose(always ? "Only the cue" : "Only the lighter loads", lines);
    }
    return draft.leave("Watch it").saying(lift.name() + ": '" + mark.word() + "' in " + seen.sessions().size() + " of the last " + of
        + " sessions, " + (always ? "with light loads, too" : "from " + seen.lightest().text() + " on") + "."
        + mark.caution().map(" "::concat).orElse("") + weak.map(row -> " Weak: " + row.weak() + ".").orElse(""));
  }

  private Call without(Picture picture, String key, Seen went) {
    return Draft.of(this, key).agreeing(went.sessions().size()).because(went.facts()).propose("Under " + went.lightest().text(),
        under(picture, key, went.lightest(), "clean reps only")).leave("Watch it").saying(picture.name(key) + ": form went "
            + Say.times(went.facts().size()) + " at " + went.lightest().text() + " and more.");
  }

  /** The lines to come with a cue beside them, where it does not stand there yet. */
  private static List<Effect> cued(Picture picture, String lift, String mark) {
    List<Effect> effects = new ArrayList<>();
    String cue = MIND + mark;
    picture.editable(lift).stream().filter(planned -> !planned.line().remark().contains(cue)).forEach(planned -> Edits.to(planned, lift,
        LineEdit.read(planned.line().planned().work()), cue).ifPresent(effects::add));
    return effects;
  }

  /** The lines to come that would go over that load lighter than it, with a cue; what is under it already stays. */
  private static List<Effect> under(Picture picture, String lift, Mass load, String cue) {
    List<Effect> effects = new ArrayList<>();
    Mass most = load.scaled(picture.of(CallFigure.CALL_FORM_RESET) / 100);
    for (Picture.Planned planned : picture.editable(lift)) {
      double factor = Edits.top(picture, planned).map(most::ratioTo).orElse(1.0);
      if (factor < 1) {
        WorkLine work = LineEdit.scaled(LineEdit.read(planned.line().planned().work()), factor, picture.context()
            .chart(planned.line().lift()));
        Edits.to(planned, lift, work, MIND + cue).ifPresent(effects::add);
      }
    }
    return effects;
  }

  private static List<Effect> help(Picture picture, WeakPoints.Row row, Lift lift) {
    return WeakPoints.work(picture, row, lift).stream().limit(HELPS).map(help -> WeakPoints.line(picture, row, lift, help))
        .flatMap(Optional::stream).toList();
  }
}
