package org.yarbel.core.call;

import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import org.yarbel.core.mass.Mass;

/** Body mass off the limit of the class as the day comes. It shows the drift and advises on no diet. */
final class ClassDrift implements CallRule {
  private static final int SHOWN = 4;

  @Override
  public String key() {
    return "class";
  }

  @Override
  public String title() {
    return "body mass and class";
  }

  @Override
  public String source() {
    return "Our own default. No advice on diet: that is for a dietitian or a physician.";
  }

  @Override
  public String when() {
    return "Body mass over the limit of the class entered within six weeks of the day: shows the drift, and whom to see.";
  }

  @Override
  public List<CallFigure> figures() {
    return List.of(CallFigure.CALL_CLASS_WEEKS);
  }

  @Override
  public List<Call> look(Picture picture) {
    Picture.Contest contest = picture.contest();
    Mass limit = contest == null ? null : contest.limit();
    List<Picture.Weighed> weighed = picture.weighed();
    if (contest == null || limit == null || weighed.isEmpty()) {
      return List.of();
    }
    long days = ChronoUnit.DAYS.between(picture.today(), contest.day());
    Picture.Weighed newest = weighed.get(weighed.size() - 1);
    boolean near = days >= 0 && days <= 7 * picture.of(CallFigure.CALL_CLASS_WEEKS);
    if (!near || newest.mass().compareTo(limit) <= 0) {
      return List.of();
    }
    List<Picture.Weighed> last = weighed.subList(Math.max(0, weighed.size() - SHOWN), weighed.size());
    Draft draft = Draft.of(this, "").about(contest.name()).when(Urgency.DUE).agreeing(last.size());
    last.stream().sorted(Comparator.comparing(Picture.Weighed::day).reversed()).forEach(one -> draft.because(
        new Fact(Fact.Kind.WEIGH_IN, Long.toString(one.id()), one.day(), Say.day(one.day()) + ": " + Say.about(one.mass()))));
    String drift = last.size() < 2 ? "" : ", " + drift(last);
    return List.of(draft.leave("Noted").saying(Say.about(newest.mass()) + " on " + Say.day(newest.day()) + drift + "; the class for "
        + contest.name() + ", in " + days + " days, ends at " + limit.text() + ". Talk about the class, and leave making weight to a "
        + "dietitian or a physician."));
  }

  private static String drift(List<Picture.Weighed> last) {
    long by = last.get(last.size() - 1).mass().nanograms() - last.get(0).mass().nanograms();
    Mass change = Mass.ofNanograms(Math.abs(by), last.get(0).mass().unit());
    return (by < 0 ? "down " : "up ") + Say.about(change) + " since " + Say.day(last.get(0).day());
  }
}
