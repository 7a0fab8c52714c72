package org.yarbel.web.program;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.yarbel.web.lifter.NumbersChanged;
import org.yarbel.web.log.LineLogged;

/**
 * Lets methods follow the log, and go on where what they have written runs out. What was logged is kept already,
 * whatever becomes of this.
 */
@Component
class AfterLog {
  private static final Logger LOG = LoggerFactory.getLogger(AfterLog.class);

  private final Programs programs;

  AfterLog(Programs programs) {
    this.programs = programs;
  }

  @EventListener
  void numbersChanged(NumbersChanged event) {
    try {
      programs.numbersChanged(event.lifterId());
    } catch (RuntimeException wrong) {
      LOG.warn("The weeks of lifter {} were not written anew; the next log or change writes them", event.lifterId(), wrong);
    }
  }

  @EventListener
  void logged(LineLogged event) {
    try {
      programs.logged(event.line());
    } catch (RuntimeException wrong) {
      LOG.warn("The weeks after line {} were not written anew; the next log or change writes them", event.line(), wrong);
    }
  }
}
