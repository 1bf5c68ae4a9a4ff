import type { Phase, Role, Stop } from '$lib/core/documents/item';
import { type Hoop, type Machine, paceOf } from '$lib/core/documents/shop';
import { meanStitchLength } from '$lib/core/stitching/thread';

/** Seconds lost getting up to speed, and again coming to a halt. */
export const START_S = 2;
export const HALT_S = 2;
/** One automatic trim, s. */
export const TRIM_S = 6;
/** A multi-needle machine’s own change of needle, s. */
export const NEEDLE_SWITCH_S = 10;
/** Longer stitches than this slow the machine in proportion, mm. */
const FULL_SPEED_LENGTH_MM = 4.5;

/**
 * Speed of a phase, stitches a minute: the lowest of the speed set, the phase’s cap, the hoop’s cap, the
 * machine’s pace, and what long stitches allow.
 *
 * @example
 * phaseSpeed({ stitches: 120, attended: false }, 'placement', machineSetTo400, hoop) // 400
 */
export function phaseSpeed(phase: Phase, role: Role, machine: Machine, hoop: Hoop): number {
  const reach = machine.maxSpm * Math.min(1, FULL_SPEED_LENGTH_MM / meanStitchLength(phase, role));
  return Math.min(machine.setSpm, phase.cap ?? Infinity, hoop.capSpm ?? Infinity, paceOf(machine), reach);
}

/**
 * What a stop loses to starting, halting and a change of needle that the machine makes itself, s.
 *
 * @example
 * overheadSeconds(true) // 14
 */
export function overheadSeconds(switches: boolean): number {
  return START_S + HALT_S + (switches ? NEEDLE_SWITCH_S : 0);
}

/** The needle time of a stop by what it is made of, s. */
export interface NeedleParts {
  /** The stitches at their speeds. */
  stitching: number;
  /** Getting up to speed, coming to a halt, the machine’s own change of needle. */
  overhead: number;
  trims: number;
}

/**
 * Needle time of a stop, s: its stitches at their speeds, 2 s to start, 2 s to halt, 6 s for the trim of a
 * machine that has one, 10 s where a multi-needle machine changes needle by itself. A stop without a count
 * takes no time, since nothing is known of it.
 *
 * @param jumps jumps that leave a thread; a machine with a trimmer trims at each
 *
 * @example
 * needleParts(stopOf1500Stitches, machineSetTo400, hoop) // { stitching: 225, overhead: 4, trims: 0 }
 */
export function needleParts(
  stop: Stop,
  machine: Machine,
  hoop: Hoop,
  switches = false,
  jumps = 0
): NeedleParts {
  const stitching = stop.phases.reduce(
    (sum, phase) => sum + (phase.stitches * 60) / phaseSpeed(phase, stop.role, machine, hoop),
    0
  );
  if (stitching === 0) return { stitching: 0, overhead: 0, trims: 0 };
  return {
    stitching,
    overhead: overheadSeconds(switches),
    trims: machine.trimmer ? TRIM_S * (1 + jumps) : 0
  };
}

/**
 * The whole of `needleParts`, s.
 *
 * @example
 * needleSeconds(stopOf1500Stitches, machineSetTo400, hoop) // 229
 */
export function needleSeconds(stop: Stop, machine: Machine, hoop: Hoop, switches = false, jumps = 0): number {
  const { stitching, overhead, trims } = needleParts(stop, machine, hoop, switches, jumps);
  return stitching + overhead + trims;
}
