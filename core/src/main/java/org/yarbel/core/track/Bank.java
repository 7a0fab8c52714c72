package org.yarbel.core.track;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.ToDoubleFunction;
import org.yarbel.core.lift.Level;

/**
 * Four filters side by side, for lifters of even and of uneven days, who rate well and badly. What each foretold of the sets that
 * came weighs it; what the bank answers is the mixture.
 */
final class Bank {
  private static final int FILTERS = Constants.FORM_SDS.length * Constants.RATING_SDS.length;

  private final List<Filter> filters;

  private Bank(List<Filter> filters) {
    this.filters = filters;
  }

  /** A bank that knows of the max what is said here. */
  static Bank beginning(Level level, double lnMax, double sd) {
    List<Filter> filters = new ArrayList<>();
    for (int place = 0; place < FILTERS; place++) {
      filters.add(Filter.beginning(level, place, lnMax, sd));
    }
    return new Bank(filters);
  }

  /** The same, to try something out on. */
  Bank copy() {
    return new Bank(filters.stream().map(Filter::copy).toList());
  }

  static Bank read(Level level, double[] numbers, int from) {
    List<Filter> filters = new ArrayList<>();
    for (int place = 0; place < FILTERS; place++) {
      filters.add(Filter.read(level, place, numbers, from + place * Filter.numbers()));
    }
    return new Bank(filters);
  }

  void write(double[] numbers, int from) {
    int at = from;
    for (Filter filter : filters) {
      filter.write(numbers, at);
      at += Filter.numbers();
    }
  }

  /** How many numbers a bank is written with. */
  static int numbers() {
    return FILTERS * Filter.numbers();
  }

  void each(Consumer<Filter> what) {
    filters.forEach(what);
  }

  /** Takes the greatest weight as 1, so that a long log does not run out of digits. */
  void rest() {
    double greatest = greatest();
    filters.forEach(filter -> filter.weigh(-greatest));
  }

  /** The greatest ln of a weight. */
  double greatest() {
    double greatest = Double.NEGATIVE_INFINITY;
    for (Filter filter : filters) {
      greatest = Math.max(greatest, filter.lnWeight());
    }
    return greatest;
  }

  /** The mean over the filters, by their weights. */
  double mixed(ToDoubleFunction<Filter> what) {
    double greatest = greatest();
    double sum = 0;
    double weights = 0;
    for (Filter filter : filters) {
      double weight = Math.exp(filter.lnWeight() - greatest);
      sum += weight * what.applyAsDouble(filter);
      weights += weight;
    }
    return sum / weights;
  }

  /** ln of the max as it is published: rested, on a usual day. */
  Spread max() {
    return spread(State.MAX_ROW);
  }

  /** ln of the max with the form of the day, before its first set. */
  Spread today() {
    return spread(State.TODAY_ROW);
  }

  /** The mean and the spread of the mixture of a row of the state. */
  Spread spread(double[] row) {
    double mean = mixed(filter -> filter.mean(row));
    double squares = mixed(filter -> filter.state().variance(row) + Math.pow(filter.mean(row) - mean, 2));
    return new Spread(mean, Math.sqrt(squares));
  }

  /** A mean and its standard deviation. */
  record Spread(double mean, double sd) {}
}
