package org.yarbel.web.call;

import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How many calls wait, for pages that only point to them. */
@Service
public class CallCounts {
  private final CallRepository calls;

  CallCounts(CallRepository calls) {
    this.calls = calls;
  }

  /** How many wait of each lifter of whom any does. */
  @Transactional(readOnly = true)
  public Map<Long, Long> byLifter() {
    return calls.waiting().stream().collect(Collectors.toMap(CallRepository.Waiting::getLifterId, CallRepository.Waiting::getCalls));
  }
}
