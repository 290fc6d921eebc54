package zebrawood.core.mirrors;

/**
 * Where a card is shot at.
 *
 * @param mirror whose run is read: 1 on a card at mirror 2, 2 on a card at the head
 * @param gantryM from mirror 1 to mirror 2, m
 * @param carriageM from mirror 2 to the head, m; 0 on a card at mirror 2
 */
record Place(int mirror, double gantryM, double carriageM) {

    static Place of(PlanReadings.Shot shot) {
        return new Place(
                shot.mirror(), shot.gantryMm() / 1000, shot.carriageMm().orElse(0) / 1000);
    }

    boolean isAtHead() {
        return mirror == 2;
    }
}
