package org.yarbel.web.call;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.transaction.support.TransactionTemplate;
import org.yarbel.core.call.Call;
import org.yarbel.core.call.CallRule;
import org.yarbel.core.call.CallRules;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.support.TestApp;

/** The demo has something to say of each of its lifters, and shows every rule on some day of its half year. */
@ExtendWith(TestApp.class)
class DemoCallsTest {
  private static final int HALF_A_YEAR = 26;

  /** Whom the demo is about, without those other tests added. */
  private static List<Lifter> twelve(TestApp app) {
    return app.bean(LifterRepository.class).findAll().stream().sorted(Comparator.comparing(Lifter::id)).limit(12).toList();
  }

  private static List<Call> calls(TestApp app, Lifter lifter, LocalDate day) {
    return app.bean(TransactionTemplate.class).execute(status -> CallRules.look(app.bean(PictureReader.class).read(lifter, day).picture()));
  }

  private static <T> T inDemo(TestApp app, Function<List<Lifter>, T> work) {
    long club = app.jdbc().sql("select club_id from demo_week").query(Long.class).single();
    return app.bean(CurrentClub.class).within(club, () -> work.apply(twelve(app)));
  }

  @Test
  void eachOfTheTwelveHasSomethingToDecide(TestApp app) {
    Map<String, Integer> calls = inDemo(app, lifters -> lifters.stream()
        .collect(Collectors.toMap(Lifter::name, lifter -> calls(app, lifter, TestApp.TODAY).size())));
    assertThat(calls).hasSize(12);
    assertThat(calls.values()).as("%s", calls).allSatisfy(count -> assertThat(count).isBetween(1, 6));
  }

  @Test
  void everyRuleIsSeenOnSomeDayOfTheHalfYear(TestApp app) {
    Set<String> missing = CallRules.all().stream().map(CallRule::key).collect(Collectors.toCollection(TreeSet::new));
    // this week day by day, then back week by week, until each was seen
    List<LocalDate> days = IntStream.concat(IntStream.rangeClosed(0, 6), IntStream.rangeClosed(1, HALF_A_YEAR).map(week -> -7 * week))
        .mapToObj(TestApp.TODAY::plusDays).toList();
    inDemo(app, lifters -> {
      for (LocalDate day : days) {
        if (!missing.isEmpty()) {
          lifters.forEach(lifter -> calls(app, lifter, day).forEach(call -> missing.remove(call.rule())));
        }
      }
      return missing;
    });
    assertThat(missing).isEmpty();
  }
}
