package app.chervil.core.filter;

import app.chervil.core.calc.Check;
import app.chervil.core.tank.BacteriaHome;
import java.util.List;

/**
 * One entry of the care catalogue: a task, how often it starts out, and how far learning may move it.
 *
 * @param startDays interval for normal stocking and feeding without a pre-filter
 * @param effort what it takes and what it disturbs
 * @param why one line a keeper can read
 */
public record CareRule(CareAction action, int startDays, Bounds bounds, Effort effort, Learning learning, String why) {
    public CareRule {
        Check.within("startDays", startDays, bounds.leastDays(), bounds.mostDays());
    }

    /** Answers whether a finding is asked for when the task is done. */
    public boolean graded() {
        return learning instanceof Learning.Graded;
    }

    /**
     * How much work disturbs where the bacteria live.
     *
     * @param disturbance where they live in the media, 0 to 3
     */
    public static int disturbanceOf(int disturbance, BacteriaHome home) {
        return home == BacteriaHome.SUBSTRATE_AND_ROCK ? Math.max(0, disturbance - 1) : disturbance;
    }

    /** Days that a learned interval may reach, both ends included. */
    public record Bounds(int leastDays, int mostDays) {
        public Bounds {
            Check.within("leastDays", leastDays, 1, mostDays);
        }
    }

    /**
     * What a task takes.
     *
     * @param minutes of work, set-up apart
     * @param setUpMinutes once per visit, however much is done
     * @param disturbance of the bacteria, 0 none to 3 severe
     * @param carry what to bring to the tank
     */
    public record Effort(int minutes, int setUpMinutes, int disturbance, List<Material> carry) {
        public Effort {
            Check.within("minutes", minutes, 1, 600);
            Check.within("disturbance", disturbance, 0, 3);
            carry = List.copyOf(carry);
        }

        /** How much the work disturbs where the bacteria live: by one less where they live apart from the media. */
        public int disturbanceOf(BacteriaHome home) {
            return CareRule.disturbanceOf(disturbance, home);
        }
    }
}
