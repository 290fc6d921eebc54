/**
 * When is what done on a visit, by whom, and when is it over? Start at {@link zebrawood.core.visit.Planner}.
 *
 * <p>Each task is some minutes of hands, then some minutes of waiting for which nobody is needed. It begins when all
 * that comes before it is over, waits included, and when as many people as it needs are free for its minutes of hands.
 * Looked for is the plan with the earliest finish: a project scheduling problem with people as renewable resources.
 *
 * <p>The lower bound, which no plan can beat: for every two limits a and b, of the tasks that need technicians, cannot
 * begin before a, and after whose hands at least b minutes follow, the minutes of hands of all of them, shared by the
 * technicians, lie between a and the finish less b (for one technician this is Jackson's preemptive bound); the same
 * for the electrician; and the longest chain of tasks. The plan: a list of tasks, the longest tail first, is set task
 * by task as early as it goes; then all are pushed to the right and to the left again, in turn (justification, after
 * Valls, Ballestin and Quintanilla), from lists that are shuffled a little with a fixed seed; the best of a fixed
 * number of them is taken, and none is tried any more once the bound is reached. No solver library is used: the general
 * ones need seconds to prove what this reaches in milliseconds, and a fixed number of tries gives the same plan each
 * time.
 */
package zebrawood.core.visit;
