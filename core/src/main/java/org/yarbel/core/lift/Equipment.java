package org.yarbel.core.lift;

/** What a lift is done with, which decides what loads there are for it in a place. */
public enum Equipment {
  BAR("bar"),
  LOG("log"),
  AXLE("axle"),
  FRAME("frame"),
  YOKE("yoke"),
  FARMERS_HANDLES("farmers handles"),
  STONE("stone"),
  KEG("keg"),
  SANDBAG("sandbag"),
  TYRE("tyre"),
  SLEDGE("sledge"),
  DUMBBELL("dumbbell"),
  BODY("body"),
  OTHER("machine or other");

  private final String word;

  Equipment(String word) {
    this.word = word;
  }

  /** The words a person reads: {@code farmers handles}. */
  public String word() {
    return word;
  }

  /** Whether it is one of the implements of strongman. */
  public boolean implement() {
    return ordinal() >= LOG.ordinal() && ordinal() <= SLEDGE.ordinal();
  }

  /** Whether the load is counted for one hand: a dumbbell's, a farmers handle's. */
  public boolean perHand() {
    return this == DUMBBELL || this == FARMERS_HANDLES;
  }
}
