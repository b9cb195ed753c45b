package snikra.server.reference;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** Steps by id, in the order they were made. */
public interface FiledStepRepository extends JpaRepository<FiledStepEntity, String> {

  /** All of them. */
  List<FiledStepEntity> findAllByOrderByPlace();
}
