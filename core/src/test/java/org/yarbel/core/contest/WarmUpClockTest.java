package org.yarbel.core.contest;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;

/** Warm-ups counted back by hand; the minutes are common practice, no source. */
class WarmUpClockTest {
  private static final Instant START = Instant.parse("2026-03-14T10:00:00Z");

  private static Mass kg(String amount) {
    return Mass.of(amount, MassUnit.KG);
  }

  @Test
  void theRampIsCountedBackFromThePlatform() {
    WarmUpClock.Call call = new WarmUpClock.Call(START, 7, Duration.ZERO);
    Instant platform = call.platform(RuleSet.usual());
    assertThat(platform).isEqualTo("2026-03-14T10:07:00Z");
    // of 200 kg: 70 and 110 light, 150, 175 and 190 heavy. 10:07 less 6:30; less 3:30, 3:30; from the light ones on 2:00
    assertThat(WarmUpClock.of(List.of(kg("70"), kg("110"), kg("150"), kg("175"), kg("190")), kg("200"), platform))
        .extracting(due -> due.at().toString()).containsExactly("2026-03-14T09:49:30Z", "2026-03-14T09:51:30Z", "2026-03-14T09:53:30Z",
            "2026-03-14T09:57:00Z", "2026-03-14T10:00:30Z");
  }

  @Test
  void theLastOneLiesFiveToEightMinutesBeforeThePlatform() {
    Instant last = WarmUpClock.of(List.of(kg("190")), kg("200"), START).get(0).at();
    assertThat(Duration.between(last, START)).isBetween(WarmUpClock.LATEST, WarmUpClock.EARLIEST);
  }

  @Test
  void oneLifterMoreOrAFlightThatIsLateShiftsAll() {
    WarmUpClock.Call call = new WarmUpClock.Call(START, 3, Duration.ofMinutes(12));
    assertThat(call.platform(RuleSet.usual())).isEqualTo("2026-03-14T10:15:00Z");
    assertThat(call.further(1).platform(RuleSet.usual())).isEqualTo("2026-03-14T10:16:00Z");
    assertThat(call.further(-9).ahead()).isZero();
  }

  @Test
  void whatCannotBeIsRefused() {
    assertThatThrownBy(() -> new WarmUpClock.Call(START, 101, Duration.ZERO)).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> new WarmUpClock.Call(START, -1, Duration.ZERO)).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> new WarmUpClock.Call(START, 0, Duration.ofHours(7))).isInstanceOf(Refused.class);
    assertThat(WarmUpClock.of(List.of(), kg("200"), START)).isEmpty();
  }
}
