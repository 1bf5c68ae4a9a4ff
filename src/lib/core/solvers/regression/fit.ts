import { inverse, Matrix } from 'ml-matrix';

/** Something observed: a sum of shares of the unknowns, and by how much it strays. */
export interface Observation {
  /** Shares by index of the unknown. */
  shares: readonly (readonly [index: number, share: number])[];
  value: number;
}

/** Unknowns before anything is observed: independent normals. */
export interface Prior {
  mean: readonly number[];
  sd: readonly number[];
}

export interface Fit {
  mean: number[];
  sd: number[];
  /** Weight of each row, from 0 for one that says nothing. */
  weights: number[];
  /** How far rows stray, as a sigma. */
  noise: number;
}

/** Degrees of freedom of the t distribution that rows are weighed by: few, so that outliers hardly count. */
const T_FREEDOM = 4;
/** A row that strays by more than so many sigmas is a pause or a slip, and says nothing. */
const PAUSE_SIGMAS = 3.5;
const ROUNDS = 8;
/** Steps that stray further than this from each other are no measure of anything. */
const MOST_NOISE = 0.8;
/** Once the noise changes by less than this share, the fit has settled. */
const SETTLED = 0.002;
/** The noise is weighed against what was expected of it as if that had been seen in so many rows. */
const NOISE_SAMPLES = 8;

/**
 * Fits unknowns to rows by Bayesian linear regression with t-distributed errors, by iteratively reweighted least squares
 * (Lange, Little and Taylor, “Robust statistical modeling using the t distribution”, 1989); rows beyond 3.5 sigmas are left
 * out. With few rows the unknowns stay near their prior.
 *
 * @param noise sigma of a row as it is expected
 *
 * @example
 * fit([{ shares: [[0, 1]], value: 0.2 }], { mean: [0], sd: [0.4] }, 0.25).mean[0] // between 0 and 0.2
 */
export function fit(rows: readonly Observation[], prior: Prior, noise: number): Fit {
  const count = prior.mean.length;
  let sigma = noise;
  let mean = [...prior.mean];
  let sd = [...prior.sd];
  let weights = rows.map(() => 1);
  for (let round = 0; round < ROUNDS && rows.length > 0; round++) {
    const precision = Matrix.zeros(count, count);
    const target = Matrix.zeros(count, 1);
    prior.sd.forEach((deviation, at) => {
      precision.set(at, at, 1 / deviation ** 2);
      target.set(at, 0, (prior.mean[at] ?? 0) / deviation ** 2);
    });
    rows.forEach(({ shares, value }, at) => {
      const weight = (weights[at] ?? 0) / sigma ** 2;
      if (weight === 0) return;
      for (const [one, share] of shares) {
        target.set(one, 0, target.get(one, 0) + weight * share * value);
        for (const [other, by] of shares)
          precision.set(one, other, precision.get(one, other) + weight * share * by);
      }
    });
    const covariance = inverse(precision);
    mean = covariance.mmul(target).to1DArray();
    sd = mean.map((_, at) => Math.sqrt(Math.max(0, covariance.get(at, at))));
    const strays = rows.map(({ shares, value }) =>
      shares.reduce((rest, [at, share]) => rest - share * (mean[at] ?? 0), value)
    );
    // The first rounds look at all of them: where the middle lies is not known yet.
    weights = strays.map((stray) => {
      const sigmas = stray / sigma;
      if (round > 1 && Math.abs(sigmas) > PAUSE_SIGMAS) return 0;
      return (T_FREEDOM + 1) / (T_FREEDOM + sigmas ** 2);
    });
    const before = sigma;
    const kept = strays.filter((_, at) => (weights[at] ?? 0) > 0);
    const square = kept.reduce((sum, stray) => sum + stray ** 2, 0);
    // Rows that the unknowns were bent to stray less than the next one will.
    const bent = sd.reduce((sum, each, at) => sum + 1 - (each / (prior.sd[at] ?? each)) ** 2, 0);
    const variance =
      (NOISE_SAMPLES * noise ** 2 + square) / (NOISE_SAMPLES + Math.max(1, kept.length - bent));
    sigma = Math.min(MOST_NOISE, Math.sqrt(variance));
    if (round > 2 && Math.abs(sigma / before - 1) < SETTLED) break;
  }
  return { mean, sd, weights, noise: sigma };
}
