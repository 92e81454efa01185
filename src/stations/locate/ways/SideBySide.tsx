'use client';
import { Modal } from 'antd';
import type { Compared } from '@/core/choose/candidates/compare';
import { WhatDashedMeans } from '@/ui/cards/Readouts';
import { ComparedTable } from './ComparedTable';
import { WayCurves } from './WayCurves';

type Props = { open: boolean; onClose: () => void; all: Compared[] };

/** All ways in one table, with their curves. */
export function SideBySide({ open, onClose, all }: Props) {
  return (
    <Modal
      open={open}
      onCancel={onClose}
      footer={null}
      title="Ways to build it, side by side"
      width="min(1180px, 96vw)"
    >
      <ComparedTable all={all} />
      <WhatDashedMeans />
      <WayCurves all={all} />
      <p className="hint">
        All on this car as it is measured. Work and money are rough classes by what is to be made, for
        somebody with the tools: common practice. Of a way that is only drawn, much cannot be judged yet.
      </p>
    </Modal>
  );
}
