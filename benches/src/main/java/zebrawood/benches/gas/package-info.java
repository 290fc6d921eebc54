/**
 * The regulator's bench, with what a nozzle takes drawn as curves and the bottle beside them. Start at
 * {@link zebrawood.benches.gas.GasBench}.
 */
package zebrawood.benches.gas;
