package org.yarbel.web.log;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import org.yarbel.core.effort.Rpe;

/** How hard a set looked to a coach, beside the rating of who lifted it. */
@Embeddable
public record Opinion(int opinionHalves, @Enumerated(EnumType.STRING) From opinionFrom, String opinionBy) {
  /** What it comes from. */
  public enum From {
    SEEN("saw it"),
    CLIP("saw the clip");

    private final String word;

    From(String word) {
      this.word = word;
    }

    /** The words a person reads: {@code saw the clip}. */
    public String word() {
      return word;
    }
  }

  /** What a coach says. */
  public static Opinion of(Rpe looked, From from, String who) {
    return new Opinion(looked.halves(), from, who);
  }

  /** How hard it looked. */
  public Rpe looked() {
    return new Rpe(opinionHalves);
  }

  /** Whose it is and what it comes from: {@code Ada saw the clip}. */
  public String words() {
    return opinionBy + " " + opinionFrom.word();
  }
}
