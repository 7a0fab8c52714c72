package org.yarbel.web.runway;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.servlet.support.RequestContextUtils;

/** Who lost against somebody else on the Runway is told so there. */
@ControllerAdvice(assignableTypes = {RunwayController.class, BlockController.class})
class RunwayMeanwhile {
  /** Somebody else changed the plan in the same moment. */
  @ExceptionHandler(OptimisticLockingFailureException.class)
  String meanwhile(HttpServletRequest request) {
    RequestContextUtils.getOutputFlashMap(request).put("said", "Not changed: meanwhile somebody else changed this plan. Look at it again.");
    return "redirect:" + request.getRequestURI().replaceFirst("/runway.*", "/runway");
  }
}
