package org.yarbel.core.call;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A poor day before a session: an easier one is offered. */
final class ReadinessLow implements CallRule {
  @Override
  public String key() {
    return LowDay.RULE;
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
    picture.sessions().stream().filter(session -> session.day().equals(picture.today()) && !session.ended()
        && !session.eased())
        .forEach(session -> session.lines().stream().filter(line -> line.kind().mainWork() && !line.begun())
            .forEach(line -> lines.add(new Picture.Planned(session, line))));
    if (said.isEmpty() || lines.isEmpty() || readiness.value() >= picture.of(CallFigure.CALL_READINESS)) {
      return List.of();
    }
    double easier = picture.of(CallFigure.CALL_EASIER);
    Draft draft = Draft.of(this, "").about(picture.today().toString()).when(Urgency.DUE).agreeing(1).risky()
        .because(Say.fact(said.get()));
    for (EasyWay way : EasyWay.values()) {
      draft.propose(way.words(easier), eased(picture, lines, way, easier));
    }
    return List.of(draft.leave("As planned").saying("Readiness today is " + readiness.words() + "."));
  }

  private static List<Effect> eased(Picture picture, List<Picture.Planned> lines, EasyWay way, double percent) {
    List<Effect> effects = new ArrayList<>();
    for (Picture.Planned planned : lines) {
      way.of(LineEdit.read(planned.line().planned().work()), picture.context().chart(planned.line().lift()), percent)
          .flatMap(work -> Edits.to(planned, work)).ifPresent(effects::add);
    }
    return effects;
  }
}
