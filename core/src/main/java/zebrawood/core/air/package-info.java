/** Air at the nozzle, proved before anything is cut. Start at {@link zebrawood.core.air.AirAssist}. */
package zebrawood.core.air;
