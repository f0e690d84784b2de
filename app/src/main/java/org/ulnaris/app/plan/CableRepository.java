package org.ulnaris.app.plan;

import java.util.Collection;
import java.util.List;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface CableRepository extends JpaRepository<Cable, Long> {
    List<Cable> findByJobIdAndDeletedAtIsNullOrderByPlaceAscIdAsc(long jobId);

    List<Cable> findByJobIdInAndDeletedAtIsNullOrderByPlaceAscIdAsc(Collection<Long> jobIds);

    @Query("select c.id from Cable c where c.jobId = :jobId and c.deletedAt is null order by c.place, c.id")
    List<Long> idsOf(long jobId);

    @Query("select coalesce(max(c.place), 0) from Cable c where c.jobId = :jobId")
    int lastPlace(long jobId);

    @Query("select one from Cable one where locate(:part, upper(one.details.tag)) > 0 and one.deletedAt is null"
            + " order by one.jobId desc, one.id")
    List<Cable> named(String part, Limit limit);
}
