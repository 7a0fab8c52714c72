package org.yarbel.web.log;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.transaction.support.TransactionTemplate;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.card.PlannedLine;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.SessionResolver;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.track.Observation;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.club.Places;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.plan.LifterContexts;
import org.yarbel.web.support.TestApp;

/** What the log teaches beside the max reaches the lifter's numbers, and their loads. */
@ExtendWith(TestApp.class)
class LearningTest {
  private static final LocalDate DAY = TestApp.TODAY.minusDays(40);

  private static Mass kg(String amount) {
    return Mass.of(amount, MassUnit.KG);
  }

  /** Runs in the demo club with a lifter of this test's own, and takes all of it back. */
  private static void with(TestApp app, java.util.function.Consumer<Lifter> work) {
    long club = app.jdbc().sql("select club_id from demo_week").query(Long.class).single();
    app.bean(CurrentClub.class).within(club, () -> app.bean(TransactionTemplate.class).executeWithoutResult(status -> {
      long place = app.bean(Places.class).all().get(0).id();
      work.accept(app.bean(LifterRepository.class).saveAndFlush(new Lifter("Learner", MassUnit.KG, place)));
      status.setRollbackOnly();
    }));
  }

  private static void tell(TestApp app, Lifter lifter, String lift, int day, String load, int reps, @Nullable Double rpe) {
    Observation set = Observation.of(DAY.plusDays(day), kg(load), reps, rpe == null ? null : Rpe.of(rpe))
        .with(Observation.Trait.FAILED, rpe == null);
    app.bean(Tracking.class).tell(lifter, lift, set);
  }

  private static LiftNumbers numbers(TestApp app, Lifter lifter, String lift) {
    return app.bean(LiftNumbersRepository.class).findByLifterIdAndLift(lifter.id(), lift).orElseThrow();
  }

  // ten reps at 80 % where the curve has eight: 1 + 7/0.78 = 10, of which a spread of 0.15 between lifters gives the most back
  @Test
  void setsToFailureBendTheLiftersChartAndTheirLoadsFollow(TestApp app) {
    with(app, lifter -> {
      tell(app, lifter, "squat", 0, "100", 1, 10.0);
      for (int i = 1; i <= 6; i++) {
        tell(app, lifter, "squat", 2 * i, "80", 10, null);
        tell(app, lifter, "squat", 2 * i + 1, "100", 1, 10.0);
      }
      LiftNumbers own = numbers(app, lifter, "squat");
      assertThat(own.chart().stretch()).isBetween(0.75, 0.9);
      LifterContext context = app.bean(LifterContexts.class).of(lifter, null);
      Lift squat = context.lift("squat");
      double eight = resolve(context, squat, "1x8 @10").sets().get(0).exact().ratioTo(context.numbers(squat).estimated());
      assertThat(eight).as("8 reps are 1 + 7 · k of the curve")
          .isCloseTo(EffortChart.HOUSE.fraction(1 + 7 * own.chart().stretch(), 10).orElseThrow(), within(1e-6));
      double single = resolve(context, squat, "1x1 @10").sets().get(0).exact().ratioTo(context.numbers(squat).estimated());
      assertThat(single).as("a max stays a max").isCloseTo(1, within(1e-6));
    });
  }

  @Test
  void aFewSetsBendItLessThanMany(TestApp app) {
    with(app, lifter -> {
      tell(app, lifter, "squat", 0, "100", 1, 10.0);
      tell(app, lifter, "squat", 2, "80", 12, null);
      double once = numbers(app, lifter, "squat").chart().stretch();
      tell(app, lifter, "squat", 4, "80", 12, null);
      assertThat(numbers(app, lifter, "squat").chart().stretch()).isLessThan(once).isGreaterThan(0.6);
      assertThat(once).isLessThan(1);
    });
  }

  // rated 8, which claims seven in all, where nine go
  @Test
  void ratingsAreHeldAgainstSetsToFailure(TestApp app) {
    with(app, lifter -> {
      for (int week = 0; week < 5; week++) {
        tell(app, lifter, "bench", 7 * week, "100", 5, 8.0);
        tell(app, lifter, "bench", 7 * week + 2, "100", 9, null);
      }
      double bias = numbers(app, lifter, "bench").outlook(TestApp.TODAY).orElseThrow().learned().ratingBias().value();
      assertThat(bias).as("two too few are claimed").isBetween(-2.0, -0.5);
    });
  }

  /** Under 6 says that there is more; not rated says nothing. */
  @Test
  void easierIsNotUnrated(TestApp app) {
    with(app, lifter -> {
      tell(app, lifter, "bench", 0, "100", 1, 10.0);
      double before = kilograms(app, lifter);
      app.bean(Tracking.class).tell(lifter, "bench", Observation.of(DAY.plusDays(2), kg("85"), 5, null));
      assertThat(kilograms(app, lifter)).as("a floor further down").isCloseTo(before, within(0.5));
      app.bean(Tracking.class).tell(lifter, "bench", Observation.of(DAY.plusDays(4), kg("85"), 5, null, Observation.Trait.EASIER));
      assertThat(kilograms(app, lifter)).isGreaterThan(before + 1);
      assertThat(app.jdbc().sql("select count(*) from logged_set where easier and lifter_id = :id").param("id", lifter.id())
          .query(Integer.class).single()).isEqualTo(1);
    });
  }

  private static double kilograms(TestApp app, Lifter lifter) {
    return numbers(app, lifter, "bench").estimate(MassUnit.KG, DAY.plusDays(4)).max().nanograms() / 1e12;
  }

  @Test
  void aRatioFollowsTheLogOfBothLiftsWhicheverComesLast(TestApp app) {
    with(app, lifter -> {
      tell(app, lifter, "front-squat", 3, "180", 1, 10.0);
      assertThat(numbers(app, lifter, "front-squat").ratio()).as("no squat to compare with yet").isNull();
      tell(app, lifter, "squat", 0, "200", 1, 10.0);
      Lift.Ratio ratio = numbers(app, lifter, "front-squat").ratio();
      assertThat(ratio).isNotNull();
      assertThat(ratio.percent()).isBetween(84.0, 88.0);
      assertThat(ratio.sd()).isLessThan(6);
    });
  }

  @Test
  void aPlaceWithoutStonesLeavesTheLoadAsWritten(TestApp app) {
    with(app, lifter -> {
      Lifter inLoft = app.bean(LifterRepository.class)
          .saveAndFlush(new Lifter("Loft", MassUnit.KG, app.bean(Places.class).all().get(1).id()));
      LifterContext loft = app.bean(LifterContexts.class).of(inLoft, null);
      LifterContext hall = app.bean(LifterContexts.class).of(lifter, null);
      Lift stones = hall.lift("stone-load");
      assertThat(resolve(hall, stones, "3x3 108kg").sets().get(0).load()).as("stones of 100 and 115").isEqualTo(kg("115"));
      assertThat(resolve(hall, stones, "3x3 108kg").sets().get(0).perSide()).isNull();
      assertThat(resolve(loft, stones, "3x3 108kg").sets().get(0).load()).isEqualTo(kg("108"));
      assertThat(List.of(hall, loft)).extracting(c -> resolve(c, c.lift("log-press"), "1x1 92kg").sets().get(0).load())
          .as("a log of 42 kg with plates, and none").containsExactly(kg("92"), kg("92"));
      assertThat(resolve(hall, hall.lift("log-press"), "1x1 92kg").sets().get(0).perSide()).containsExactly(kg("25"));
    });
  }

  private static ResolvedLine resolve(LifterContext context, Lift lift, String work) {
    return new SessionResolver(context).alone(PlannedLine.of(lift, work)).line();
  }
}
