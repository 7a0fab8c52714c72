package org.yarbel.web.watch;

import jakarta.persistence.Entity;
import org.yarbel.web.club.ClubRow;

/** A figure of the checks that the club has set. */
@Entity
public class ClubThreshold extends ClubRow {
  private String thresholdKey = "";
  private double figure;

  protected ClubThreshold() {}

  ClubThreshold(String thresholdKey, double figure) {
    this.thresholdKey = thresholdKey;
    this.figure = figure;
  }

  String thresholdKey() {
    return thresholdKey;
  }

  double figure() {
    return figure;
  }

  void set(double newFigure) {
    this.figure = newFigure;
  }
}
