/** How much gas does a nozzle take, and how long does a bottle last? Start at {@link zebrawood.core.gas.AssistGas}. */
package zebrawood.core.gas;
