/** Presumptive bearing on soils, IBC Table 1806.2, from memory: check against the code in force and the ground report. */
export interface Soil {
  id: string;
  name: string;
  allowable: number;
}
const psf = 47.88025898;
export const soils: readonly Soil[] = [
  { id: 'rock', name: 'Crystalline bedrock', allowable: 12000 * psf },
  { id: 'foliated', name: 'Sedimentary and foliated rock', allowable: 4000 * psf },
  { id: 'gravel', name: 'Sandy gravel or gravel', allowable: 3000 * psf },
  { id: 'sand', name: 'Sand, silty sand, clayey sand, silty gravel', allowable: 2000 * psf },
  { id: 'clay', name: 'Clay, sandy clay, silty clay, silt', allowable: 1500 * psf },
];
export const SOIL_SOURCE = 'IBC Table 1806.2, presumptive, from memory';
