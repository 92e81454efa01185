import { stressArea, type Thread } from './thread';

/** Share of its proof strength that a bolt is tightened to where it is taken out again (Shigley, from memory). */
const OF_PROOF = 0.75;

/** Pull in a tightened bolt, N: 0.75 · S_p · A_t. @param proof strength, N/mm² */
export const preload = (thread: Thread, proof: number): number => OF_PROOF * proof * stressArea(thread);

/** Torque that brings a bolt to a pull, N·mm: T = K · d · F (Shigley, from memory). @param K nut factor, none */
export const tighteningTorque = (K: number, diameter: number, force: number): number => K * diameter * force;
