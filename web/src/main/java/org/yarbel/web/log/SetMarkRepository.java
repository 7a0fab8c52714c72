package org.yarbel.web.log;

import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** Marks of sets. */
public interface SetMarkRepository extends JpaRepository<SetMark, Long> {
  List<SetMark> findBySessionIdOrderById(long sessionId);

  List<SetMark> findBySessionIdIn(Collection<Long> sessionIds);

  List<SetMark> findBySetIdOrderById(long setId);

  List<SetMark> findByClipIdOrderByAtMs(long clipId);

  List<SetMark> findBySetIdInOrderById(Collection<Long> setIds);
}
