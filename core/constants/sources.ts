/** The one list of sources. Formulas, constants and workings cite its keys; an unknown key does not compile. */

export const SOURCES = {
  iapwsIf97:
    'IAPWS R7-97(2012), Industrial Formulation 1997 for the thermodynamic properties of water and steam: region 1 (eq. 7), region 4 (eqs. 30 and 31)',
  if97Fit:
    'Polynomial fitted to IAPWS-IF97 region 1 at 101.325 kPa, 0–100 °C; test/reference/make-if97-table.py makes it and states the residual',
  iso2533: 'ISO 2533:1975 Standard Atmosphere and U.S. Standard Atmosphere 1976, troposphere',
  hypsometric: 'Hypsometric equation with the mean temperature of the air column, lapse rate 6.5 K/km (ISO 2533:1975)',
  formation:
    'Lower heating value from standard enthalpies of formation at 25 °C (Hess’s law); CODATA key values for CO2 and H2O (Cox, Wagman, Medvedev 1989)',
  formationOrganic:
    'Standard enthalpies of formation of organic compounds: Pedley, Naylor, Kirby, Thermochemical Data of Organic Compounds, 2nd ed. 1986 (from memory)',
  atomicWeights: 'IUPAC standard atomic weights, abridged (2021)',
  waterInFuel: 'Latent heat of the water in a wet fuel at 25 °C, 2.44 MJ/kg (IAPWS-IF97)',
  crcDensity: 'CRC Handbook of Chemistry and Physics, densities of liquids at 20 °C (from memory)',
  fuelEstimate: 'Commercial fuel of variable composition: value from memory, with a wide uncertainty',
  wbt: 'Published water-boiling test protocols for cook stoves: temperature-corrected specific fuel consumption for a 75 °C rise; boiling point 100 − h/300 °C',
  newton: 'Newton’s law of heating and cooling: one lumped body, linear losses',
  windSeries:
    'Useful heat per gram falls as 1 + (v/v₀)ⁿ with wind, fitted to the set-up’s own runs with its class’s priors: an empirical law, no published source',
  flameModel:
    'The set-up’s flame: ln(q0/ṁ) against wind, burn rate, altitude and volume, fitted by Gauss–Newton with priors and variances by expectation and maximisation (Dempster, Laird, Rubin, J. R. Stat. Soc. B 39 (1977) 1); the law itself is empirical, no published source',
  boilFinder:
    'Vulcanum’s own boil finder: a knee fitted with Cauchy loss, tried on simulated traces (test/core/findBoil.test.ts)',
  leastSquares:
    'Draper, Smith, Applied Regression Analysis, 3rd ed. 1998: ordinary least squares, intervals of coefficients and of the line',
  aicc: 'Hurvich, Tsai, Biometrika 76 (1989) 297: Akaike’s criterion corrected for small samples',
  spaldingEvaporation:
    'Stefan flow of vapour from a free surface through stagnant air, with a mass-transfer coefficient (any heat and mass transfer text); the coefficient is an estimate',
  crcIce: 'CRC Handbook of Chemistry and Physics: melting heat and specific heat of ice (from memory)',
  specificHeats: 'Specific heats of metals at 25 °C: CRC Handbook of Chemistry and Physics (from memory)',
  gum: 'JCGM 100:2008, Guide to the Expression of Uncertainty in Measurement, §5.1.2 (combined standard uncertainty)',
  gumSupplement: 'JCGM 101:2008, Propagation of distributions using a Monte Carlo method',
  ziggurat: 'Marsaglia, Tsang, Journal of Statistical Software 5/8 (2000): the ziggurat method for normal numbers',
  gumResolution: 'JCGM 100:2008 §F.2.2.1: the resolution d of an indication contributes d/√12',
  welchSatterthwaite: 'JCGM 100:2008 §G.4.1: effective degrees of freedom (Welch–Satterthwaite)',
  grubbs: 'Grubbs, Technometrics 11 (1969) 1; ISO 5725-2:1994: test for an outlying observation',
  noncentralT:
    'Power of the two-sample t test by the noncentral t distribution (Cohen, Statistical Power Analysis, 2nd ed. 1988)',
  welch: 'Welch, Biometrika 34 (1947) 28: two means with unequal variances, on logarithms',
  pooled: 'Pooled standard deviation over groups (ISO 5725-2:1994)',
  holm: 'Holm, Scandinavian Journal of Statistics 6 (1979) 65: sequentially rejective multiple test',
  algorithmA: 'ISO 13528:2015, Annex C.3: robust mean and standard deviation by algorithm A',
  repeatability: 'ISO 5725-2:1994, §7.4: repeatability and reproducibility by one-way analysis of variance',
  falseDiscovery: 'Benjamini, Hochberg, J. R. Stat. Soc. B 57 (1995) 289: controlling the false discovery rate',
  gaussLegendre:
    'Abramowitz, Stegun, Handbook of Mathematical Functions, 25.4.29 and 25.4.30: Gauss–Legendre quadrature (from memory)',
  letters:
    'Piepho, Journal of Computational and Graphical Statistics 13 (2004) 456: letter display by insert and absorb',
  pdgRounding: 'Particle Data Group, Review of Particle Physics, §5.3 Rounding',
  si: 'BIPM, The International System of Units, 9th ed. 2019',
  nistUnits: 'NIST Special Publication 811 (2008), Appendix B: conversion factors',
  definition: 'By definition',
  estimate: 'Engineering estimate, no published source',
  commonPractice: 'Common practice among stove testers, no published source',
} as const

export type SourceKey = keyof typeof SOURCES
