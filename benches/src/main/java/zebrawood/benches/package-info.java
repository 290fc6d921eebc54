/** Everything that can be measured: one package a capability, named as in core, and a line each in the catalogue. */
package zebrawood.benches;
