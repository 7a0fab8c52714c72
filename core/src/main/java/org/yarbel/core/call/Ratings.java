package org.yarbel.core.call;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.Option;
import org.yarbel.core.notation.PartOf;
import org.yarbel.core.track.RatingSkill;

/** Ratings that are off, or that nobody could check for long. */
final class Ratings implements CallRule {
  private static final double SHARE = 72.5;
  private static final double CAP = 9;
  /** From here on a rating misjudges little: it finds a load as well as a test does. */
  private static final double NEAR_FAILURE = 9;
  private static final int FEW = 4;

  @Override
  public String key() {
    return "ratings";
  }

  @Override
  public String title() {
    return "ratings";
  }

  @Override
  public String source() {
    return OURS;
  }

  @Override
  public String when() {
    return "Ratings off or spread by over a rep, or no open set for six weeks where loads hang on ratings: a check set, one capped "
        + "AMRAP at "
        + "70–75 %; percentages with a cap meanwhile.";
  }

  @Override
  public List<CallFigure> figures() {
    return List.of(CallFigure.CALL_RATING_OFF, CallFigure.CALL_OPEN_WEEKS);
  }

  @Override
  public List<Call> look(Picture picture) {
    // one lift at a time: a check set of each in one week would be too much
    return picture.trained().stream().map(lift -> of(picture, lift)).flatMap(Optional::stream)
        .max(Comparator.comparing(Call::confidence)).map(List::of).orElse(List.of());
  }

  private Optional<Call> of(Picture picture, String lift) {
    List<Past> exposures = picture.exposures(lift);
    List<Picture.Planned> ahead = picture.editable(lift).stream().filter(planned -> byRating(planned.line())).toList();
    long rated = exposures.stream().filter(past -> past.sets().stream().anyMatch(set -> set.rated() != null)).count();
    if (ahead.isEmpty() || rated < FEW || picture.hurts(picture.context().lift(lift))) {
      return Optional.empty();
    }
    RatingSkill skill = RatingSkill.of(log(exposures));
    double most = picture.of(CallFigure.CALL_RATING_OFF);
    Double spread = skill.spread();
    boolean off = Math.abs(skill.bias()) > most || spread != null && spread > most;
    int weeks = (int) picture.of(CallFigure.CALL_OPEN_WEEKS);
    boolean reaches = exposures.get(exposures.size() - 1).day().isBefore(picture.today().minusWeeks(weeks));
    boolean unchecked = reaches && (skill.lastOpen() == null || skill.lastOpen().isBefore(picture.today().minusWeeks(weeks)));
    boolean coming = picture.planned(lift).stream().anyMatch(planned -> open(planned.line()));
    if (coming || !off && (!unchecked || openSoon(picture))) {
      return Optional.empty();
    }
    Draft draft = Draft.of(this, lift).about(off ? "off" : "unchecked").agreeing(off ? skill.pairs().size() : 1);
    draft.because(news(picture, lift, skill, off, weeks));
    exposures.stream().limit(FEW).forEach(past -> draft.beside(past.facts(past.sets().stream().filter(set -> set.rated() != null)
        .limit(1).toList())));
    draft.propose("A check set: one AMRAP at " + SHARE + " %, capped at 9", check(ahead.get(0)));
    if (off) {
      draft.propose("Percentages with a cap meanwhile", shares(picture, ahead));
    }
    return Optional.of(draft.leave("Leave it").saying(picture.name(lift) + ": " + (off ? "the ratings are off, "
        + skill.words() + "." : "no set went as far as it would go for " + weeks + " weeks, and the loads hang on ratings.")));
  }

  /** The newest pair that tells; where none could, that another stretch of weeks went by without an open set. */
  private static Fact news(Picture picture, String lift, RatingSkill skill, boolean off, int weeks) {
    if (off) {
      RatingSkill.Pair newest = skill.pairs().get(skill.pairs().size() - 1);
      return new Fact(Fact.Kind.NUMBER, lift + " pair " + newest.rated().day(), newest.rated().day(), Say.day(newest.rated().day())
          + ": rated @" + newest.rated().rpe() + ", off by " + Say.number(newest.off()) + " reps");
    }
    LocalDate last = skill.lastOpen() == null ? picture.today().minusWeeks(2L * weeks) : skill.lastOpen();
    long stretches = ChronoUnit.WEEKS.between(last, picture.today()) / weeks;
    return new Fact(Fact.Kind.NUMBER, lift + " open " + skill.lastOpen() + " " + (skill.lastOpen() == null ? 0 : stretches), last,
        skill.lastOpen() == null ? "no open set is on record of these weeks" : "the last open set was on " + Say.day(last));
  }

  private static List<RatingSkill.Rated> log(List<Past> exposures) {
    List<RatingSkill.Rated> log = new ArrayList<>();
    exposures.forEach(past -> past.sets().stream().filter(set -> set.reps() > 0).forEach(set -> log.add(new RatingSkill.Rated(past.day(),
        set.load(), set.reps(), set.rated(), set.ended() != null && set.ended().failed(), set.open()))));
    return log;
  }

  private static boolean open(Picture.Line line) {
    return LineEdit.open(LineEdit.read(line.planned().work()));
  }

  /** Whether the week to come has a check of some lift: another waits for the week after. */
  private static boolean openSoon(Picture picture) {
    return picture.ahead().stream().filter(session -> session.day().isBefore(picture.today().plusWeeks(1)))
        .flatMap(session -> session.lines().stream()).anyMatch(line -> line.kind().mainWork() && open(line));
  }

  /** Whether a rating alone finds a load, and not that of a test. */
  private static boolean byRating(Picture.Line line) {
    return LineEdit.read(line.planned().work()).parts().stream().anyMatch(part -> part.rpe() != null && part.load() == null
        && part.rpe().middle() < NEAR_FAILURE);
  }

  private static List<Effect> check(Picture.Planned planned) {
    return LineEdit.behind(LineEdit.read(planned.line().planned().work()), PartOf.open(1).percent(SHARE, Basis.ESTIMATED)
        .with(new Option.Cap(Rpe.of(CAP))).line()).flatMap(work -> Edits.to(planned, work)).map(List::of).orElse(List.of());
  }

  /** The same loads written as shares, each capped where it was aimed. */
  private static List<Effect> shares(Picture picture, List<Picture.Planned> ahead) {
    List<Effect> effects = new ArrayList<>();
    for (Picture.Planned planned : ahead) {
      double most = LineEdit.read(planned.line().planned().work()).parts().stream().filter(part -> part.rpe() != null)
          .mapToDouble(part -> part.rpe() == null ? 0 : part.rpe().middle()).max().orElse(CAP);
      Edits.to(planned, LineEdit.capped(LineEdit.shares(LineEdit.read(planned.line().planned().work()),
          picture.context().chart(planned.line().lift())), Math.min(10, most + 0.5))).ifPresent(effects::add);
    }
    return effects;
  }
}
