package org.yarbel.core.kit;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;

/**
 * One elastic band with the pull measured at stated lengths, such as 'light, 12 kg at 60 cm, 26 kg at 100 cm'.
 *
 * <p>Between two measured lengths the pull is taken to grow evenly; outside of them it is not known and refused, since
 * bands differ. It does not model warmth or the slow loss of pull: measure old bands anew.
 *
 * @param make who made it, or its print; a pair must match in it
 * @param since in use since; null when it is unknown
 * @param pulls measured, by rising length; at least two
 */
public record Band(String name, String make, @Nullable LocalDate since, List<Pull> pulls) {
  /** Bands older than this apart do not make a pair. Our own default. */
  private static final int MONTHS_APART = 3;
  /** Pulls further apart than this do not make a pair. Our own default. */
  private static final double PULLS_APART = 0.05;

  /**
   * The pull of one band at one length.
   *
   * @param centimetres from hook to bar, 5 to 400
   * @param mass that it pulls like, 0 to 200 kg
   */
  public record Pull(int centimetres, Mass mass) {
    public Pull {
      if (centimetres < 5 || centimetres > 400) {
        throw new Refused("The length of a band must be from 5 to 400 cm but was " + centimetres);
      }
      if (mass.compareTo(Mass.of("200", MassUnit.KG)) > 0) {
        throw new Refused("A band pulls at most 200 kg but " + mass.text() + " was given");
      }
    }
  }

  public Band {
    if (name.isBlank() || name.length() > 60 || make.length() > 60) {
      throw new Refused("The name of a band must have 1 to 60 characters, its make at most 60");
    }
    pulls = pulls.stream().sorted(Comparator.comparingInt(Pull::centimetres)).toList();
    if (pulls.size() < 2) {
      throw new Refused("Measure a band at two lengths at least");
    }
    for (int i = 1; i < pulls.size(); i++) {
      Pull shorter = pulls.get(i - 1);
      Pull longer = pulls.get(i);
      if (shorter.centimetres() == longer.centimetres()) {
        throw new Refused("The length " + longer.centimetres() + " cm was given twice");
      }
      if (longer.mass().compareTo(shorter.mass()) < 0) {
        throw new Refused("A band pulls harder the further it is stretched, but from "
            + shorter.centimetres() + " to " + longer.centimetres() + " cm the pull falls from " + shorter.mass().text()
            + " to " + longer.mass().text());
      }
    }
  }

  /**
   * Reads pulls as they are typed: {@code 40:0 60:12 100:26.5}, each length in cm with its pull.
   *
   * @throws Refused with a sentence about the first that cannot be
   */
  public static List<Pull> pulls(String text, MassUnit unit) {
    List<Pull> pulls = new ArrayList<>();
    for (String one : text.strip().split("[\\s;]+")) {
      String pull = one.replace(',', '.');
      if (!pull.matches("\\d{1,3}:\\d{1,3}(\\.\\d{1,2})?")) {
        throw new Refused(
            "Write each length in cm with its pull, such as 60:12 100:26; '" + one + "' is not that");
      }
      int at = pull.indexOf(':');
      pulls.add(new Pull(Integer.parseInt(pull.substring(0, at)), Mass.of(pull.substring(at + 1), unit)));
    }
    return pulls;
  }

  /** The pulls as {@link #pulls(String, MassUnit)} reads them. */
  public String pullsText() {
    return pulls.stream().map(pull -> pull.centimetres() + ":" + pull.mass().number()).collect(Collectors.joining(" "));
  }

  /**
   * The pull at a length.
   *
   * @throws Refused outside of the measured lengths
   */
  public Mass pullAt(double centimetres) {
    Pull first = pulls.get(0);
    Pull last = pulls.get(pulls.size() - 1);
    if (centimetres < first.centimetres() || centimetres > last.centimetres()) {
      throw new Refused("The band " + name + " was measured from " + first.centimetres() + " to "
          + last.centimetres() + " cm, not at " + Math.round(centimetres) + " cm: measure it there");
    }
    int i = 1;
    while (pulls.get(i).centimetres() < centimetres) {
      i++;
    }
    Pull below = pulls.get(i - 1);
    Pull above = pulls.get(i);
    double share = (centimetres - below.centimetres()) / (above.centimetres() - below.centimetres());
    return Mass.ofRoundedNanograms(
        below.mass().nanograms() + share * (above.mass().nanograms() - below.mass().nanograms()), below.mass().unit());
  }

  /** Why this and another band make no pair; empty when they do. A pair is of the same make, age and pull. */
  public Optional<String> mismatch(Band right) {
    List<String> reasons = new ArrayList<>();
    if (!make.equalsIgnoreCase(right.make)) {
      reasons.add("they are of different make");
    }
    boolean oneUnknown = (since == null) != (right.since == null);
    if (oneUnknown || since != null && right.since != null
        && (since.plusMonths(MONTHS_APART).isBefore(right.since) || right.since.plusMonths(MONTHS_APART).isBefore(since))) {
      reasons.add("they are not of the same age");
    }
    if (pulls.size() != right.pulls.size() || !samePulls(right)) {
      reasons.add("they do not pull alike");
    }
    return reasons.isEmpty() ? Optional.empty()
        : Optional.of(name + " and " + right.name + " make no pair: " + String.join(", ", reasons));
  }

  private boolean samePulls(Band right) {
    for (int i = 0; i < pulls.size(); i++) {
      Pull mine = pulls.get(i);
      Pull theirs = right.pulls.get(i);
      double more = Math.max(mine.mass().nanograms(), theirs.mass().nanograms());
      if (mine.centimetres() != theirs.centimetres()
          || Math.abs(mine.mass().nanograms() - theirs.mass().nanograms()) > PULLS_APART * more) {
        return false;
      }
    }
    return true;
  }
}
