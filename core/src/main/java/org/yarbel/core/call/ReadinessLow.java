package org.yarbel.core.call;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.Deload;

/** A poor day before a session: an easier one is offered. */
final class ReadinessLow implements CallRule {
  private static final double CAP = 8;

  @Override
  public String key() {
    return "readiness-low";
  }

  @Override
  public String title() {
    return "readiness is low";
  }

  @Override
  public String source() {
    return OURS;
  }

  @Override
  public String when() {
    return "Readiness under 40 by the day's check-in: today the same sets 5 % lighter, the top set capped at 8, or light technique. The "
        + "lifter sees it, too, and may take it on the Card.";
  }

  @Override
  public List<CallFigure> figures() {
    return List.of(CallFigure.CALL_READINESS, CallFigure.CALL_EASIER);
  }

  @Override
  public List<Call> look(Picture picture) {
    Readiness readiness = Readiness.of(picture);
    Optional<Picture.Answers> said = picture.answers(picture.today());
    List<Picture.Planned> lines = new ArrayList<>();
    picture.sessions().stream().filter(session -> session.day().equals(picture.today()) && !session.ended())
        .forEach(session -> session.lines().stream().filter(line -> line.kind().mainWork() && !line.begun())
            .forEach(line -> lines.add(new Picture.Planned(session, line))));
    if (said.isEmpty() || lines.isEmpty() || readiness.value() >= picture.of(CallFigure.CALL_READINESS)) {
      return List.of();
    }
    double easier = picture.of(CallFigure.CALL_EASIER);
    Draft draft = Draft.of(this, "").about(picture.today().toString()).when(Urgency.DUE).agreeing(1).risky()
        .because(Say.fact(said.get()));
    draft.propose("The same sets " + Say.number(easier) + " % lighter", eased(picture, lines, 1 - easier / 100));
    draft.propose("Top sets capped at 8", Edits.each(lines, line -> LineEdit.capped(line, CAP)));
    draft.propose("Light technique", light(picture, lines));
    return List.of(draft.leave("As planned").saying("Readiness today is " + readiness.words() + "."));
  }

  private static List<Effect> eased(Picture picture, List<Picture.Planned> lines, double factor) {
    List<Effect> effects = new ArrayList<>();
    for (Picture.Planned planned : lines) {
      WorkLine work = LineEdit.scaled(LineEdit.read(planned.line().planned().work()), factor, picture.context()
          .chart(planned.line().lift()));
      Edits.to(planned, work).ifPresent(effects::add);
    }
    return effects;
  }

  private static List<Effect> light(Picture picture, List<Picture.Planned> lines) {
    List<Effect> effects = new ArrayList<>();
    for (Picture.Planned planned : lines) {
      Deload.LIGHT_TECHNIQUE.applied(LineEdit.read(planned.line().planned().work()), picture.context().chart(planned.line().lift()))
          .flatMap(work -> Edits.to(planned, work)).ifPresent(effects::add);
    }
    return effects;
  }
}
