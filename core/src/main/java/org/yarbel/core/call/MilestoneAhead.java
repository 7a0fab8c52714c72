package org.yarbel.core.call;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.watch.Milestones;

/** The next load is a first milestone, and the last two near it went badly. */
final class MilestoneAhead implements LiftRule {
  private static final double NEAR = 0.95;
  private static final int LAST = 2;
  private static final double HARD = 9.5;
  private static final int DAYS_AHEAD = 10;

  @Override
  public String key() {
    return "milestone";
  }

  @Override
  public String title() {
    return "a first milestone";
  }

  @Override
  public String source() {
    return PRACTICE;
  }

  @Override
  public String when() {
    return "The next load lands on a first milestone and the last two sets near it were missed or rated 9.5 and more: the way around.";
  }

  @Override
  public Optional<Call> of(Picture picture, String key) {
    Picture.OfLift known = picture.lifts().get(key);
    Picture.Planned next = picture.planned(key).stream().filter(planned -> planned.session().day()
        .isBefore(picture.today().plusDays(DAYS_AHEAD))).findFirst().orElse(null);
    Mass top = next == null ? null : Edits.top(picture, next).orElse(null);
    Mass ever = known == null ? null : known.heaviest();
    if (next == null || top == null || ever == null || top.compareTo(ever) <= 0) {
      return Optional.empty();
    }
    OptionalInt mark = Milestones.first(top, ever);
    List<Fact> near = new ArrayList<>();
    boolean badly = mark.isPresent() && badly(picture, key, top, near);
    if (!badly) {
      return Optional.empty();
    }
    Mass around = Milestones.around(mark.getAsInt(), top, ever);
    List<Effect> effects = Edits.to(next, LineEdit.ofMass(LineEdit.read(next.line().planned().work()), around)).map(List::of)
        .orElse(List.of());
    return Optional.of(Draft.of(this, key).about(Integer.toString(mark.getAsInt())).agreeing(LAST).because(near).because(Say.line(next))
        .propose("Around it: " + around.text(), effects).leave("Meet it").saying(picture.name(key) + ", "
            + Say.day(next.session().day()) + ": " + top.text() + " is the first time at " + mark.getAsInt()
            + ", and the last two sets near it were missed or at 9.5 and more."));
  }

  private static boolean badly(Picture picture, String key, Mass mark, List<Fact> near) {
    for (Past past : picture.exposures(key)) {
      for (int i = past.sets().size() - 1; i >= 0 && near.size() < LAST; i--) {
        Picture.Lifted set = past.sets().get(i);
        if (set.load().ratioTo(mark) >= NEAR) {
          if (!set.missed() && !(set.effort() >= HARD)) {
            return false;
          }
          near.add(Say.fact(past.day(), set));
        }
      }
    }
    return near.size() == LAST;
  }
}
