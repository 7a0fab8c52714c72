package org.yarbel.core.track;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.mass.Refused;
import org.yarbel.core.track.PictureSpeed.Click;

class PictureSpeedTest {
  private static final double FRAME = 1 / 30.0;

  private static PictureSpeed read(double across, double y0, double y1, double from, double to) {
    return PictureSpeed.of(across, PictureSpeed.PLATE_MM, new Click(300, y0, from), new Click(310, y1, to), FRAME);
  }

  // by hand: a plate of 225 px is 2 mm a px; 300 px up are 600 mm; in 1.2 s that is 0.5 m/s
  @Test
  void aRepIsHeightOverTime() {
    PictureSpeed rep = read(225, 500, 200, 2, 3.2);
    assertThat(rep.scale()).isEqualTo(2);
    assertThat(rep.height()).isEqualTo(600);
    assertThat(rep.seconds()).isCloseTo(1.2, within(1e-9));
    assertThat(rep.velocity()).isCloseTo(0.5, within(1e-9));
    assertThat(rep.error()).as("4 px of 300, 4 px of 225, one frame of 1.2 s").isCloseTo(0.5 * (4 / 300.0 + 4 / 225.0 + FRAME / 1.2),
        within(1e-9));
  }

  /** What really moves within the error is found again within it. */
  @Test
  void theErrorHoldsWhatTwoPixelsAndAFrameMake() {
    double truth = read(225, 500, 200, 2, 3.2).velocity();
    for (double off : new double[] {-2, 2}) {
      for (double frames : new double[] {-1, 1}) {
        PictureSpeed rep = read(225 + 2 * off, 500 - off, 200 + off, 2, 3.2 + frames * FRAME);
        assertThat(Math.abs(rep.velocity() - truth)).isLessThanOrEqualTo(rep.error() * 1.1);
      }
    }
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {"19|500|200|2|3|The circle must be at least 20 pixels across", "225|200|500|2|3|The bar must be higher at the end",
      "225|500|500|2|3|The bar must be higher at the end", "225|500|200|3|2|The end of the rep must come after its start",
      "225|500|200|2|2.01|The end of the rep must come after its start", "225|500|200|0|20.1|A rep of over 20 s is none",
      "30|500|200|0|1|The bar went up 4500 mm, higher than anybody reaches"})
  void refusesWhatIsNoRep(double across, double y0, double y1, double from, double to, String why) {
    assertThatThrownBy(() -> read(across, y0, y1, from, to)).isInstanceOf(Refused.class).hasMessageContaining(why);
  }

  @Test
  void refusesWhatIsNoClickAndNoPlate() {
    assertThatThrownBy(() -> new Click(Double.NaN, 0, 0)).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> new Click(0, Double.POSITIVE_INFINITY, 0)).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> new Click(0, 0, -1)).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> PictureSpeed.of(225, 49, new Click(0, 9, 0), new Click(0, 0, 1), FRAME)).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> PictureSpeed.of(Double.NaN, 450, new Click(0, 9, 0), new Click(0, 0, 1), FRAME)).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> PictureSpeed.of(225, 450, new Click(0, 9, 0), new Click(0, 0, 1), 0)).isInstanceOf(Refused.class);
  }

  @Test
  void thePathIsInMillimetresFromItsStart() {
    assertThat(PictureSpeed.path(225, 450, List.of(new Click(300, 500, 1), new Click(310, 400, 1.5), new Click(295, 200, 2))))
        .containsExactly(new PictureSpeed.Place(0, 0, 0), new PictureSpeed.Place(20, 200, 0.5), new PictureSpeed.Place(-10, 600, 1));
    assertThat(PictureSpeed.path(225, 450, List.of())).isEmpty();
  }
}
