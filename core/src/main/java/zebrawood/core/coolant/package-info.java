/**
 * What goes into the water circuit, how warm may it get, and how cold must it not be? Start at
 * {@link zebrawood.core.coolant.CoolantSetpoint}, {@link zebrawood.core.coolant.CoolantHeat} and
 * {@link zebrawood.core.coolant.CoolantMix}.
 */
package zebrawood.core.coolant;
