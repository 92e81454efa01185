'use client';
import { Button } from 'antd';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useRef } from 'react';
import type { PhotoRow } from '@/store/storage/db';
import { say } from '@/store/notices';
import { useJobPart } from '@/store/jobStore';
import { binPhoto } from '@/store/storage/bin';
import { keepPhoto, photosOf } from '@/store/storage/photos';
import './photos.css';

/** Photos of one thing, as of a step or of something inspected; they stay in this browser. */
export function Photos({ item, label }: { item: string; label: string }) {
  const jobId = useJobPart((j) => j.id);
  const photos = useLiveQuery(() => photosOf(jobId, item), [jobId, item]) ?? [];
  const picker = useRef<HTMLInputElement>(null);

  async function add(files: FileList | null) {
    for (const file of files ?? []) {
      const problem = await keepPhoto(jobId, item, file);
      if (problem) say({ kind: 'error', title: problem });
    }
  }

  return (
    <div className="photos">
      {photos.map((photo) => (
        <Photo key={photo.id} photo={photo} label={label} />
      ))}
      <Button className="add-photo" onClick={() => picker.current?.click()}>
        + photo
      </Button>
      <input
        ref={picker}
        type="file"
        accept="image/*"
        capture="environment"
        multiple
        hidden
        data-photo={item}
        onChange={(e) => {
          void add(e.target.files);
          e.target.value = '';
        }}
      />
    </div>
  );
}

function Photo({ photo, label }: { photo: PhotoRow; label: string }) {
  const link = useRef<HTMLAnchorElement>(null);
  const picture = useRef<HTMLImageElement>(null);
  // The address lives as long as the picture is shown.
  useEffect(() => {
    const url = URL.createObjectURL(photo.image);
    link.current!.href = url;
    picture.current!.src = url;
    return () => URL.revokeObjectURL(url);
  }, [photo.image]);
  return (
    <figure>
      <a ref={link} target="_blank" rel="noreferrer">
        {/* A blob of this browser: there is nothing for an image service to do. */}
        {/* eslint-disable-next-line @next/next/no-img-element */}
        <img ref={picture} alt={`Photo: ${label}`} />
      </a>
      <Button aria-label="Remove this photo" onClick={() => void binPhoto(photo.id!)}>
        ×
      </Button>
    </figure>
  );
}
