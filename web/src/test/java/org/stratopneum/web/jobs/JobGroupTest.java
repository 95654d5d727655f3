package org.stratopneum.web.jobs;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.stratopneum.core.job.Job;

class JobGroupTest {

    @Test
    void everyJobIsInOneGroup() {
        assertThat(Arrays.stream(JobGroup.values()).flatMap(group -> group.jobs().stream()))
                .containsExactlyInAnyOrder(Job.values());
    }
}
