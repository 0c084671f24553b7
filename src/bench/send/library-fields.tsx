import { readLibraryWish } from '../../core/formats/library-wish.ts';
import { Choice } from '../../kit/fields/choice.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { useSend } from './send-store.ts';

/** How a JPEG, a TIFF or a WebP is packed. */
export function LibraryFields() {
  const wish = useSend();
  return (
    <>
      {(wish.file === 'jpg' || wish.file === 'webp') && (
        <NumberField
          label="Quality"
          text={wish.quality}
          resolve={(quality) => qualityText(readLibraryWish({ quality, profile: true }).quality, wish.file)}
          onChange={(quality) => useSend.setState({ quality })}
        />
      )}
      {wish.file === 'jpg' && (
        <Choice
          label="Colour detail"
          value={wish.chroma}
          options={[
            { value: 'full', text: 'Full' },
            { value: 'half', text: 'Half, a smaller file' },
          ]}
          onChange={(chroma) => useSend.setState({ chroma })}
        />
      )}
      {wish.file === 'tif' && (
        <Choice
          label="Packed by"
          value={wish.compression}
          options={[
            { value: 'lzw', text: 'LZW' },
            { value: 'deflate', text: 'Deflate' },
          ]}
          onChange={(compression) => useSend.setState({ compression })}
        />
      )}
      <Choice
        label="Colour profile"
        value={wish.profile ? 'srgb' : 'none'}
        options={[
          { value: 'srgb', text: 'sRGB, embedded' },
          { value: 'none', text: 'None' },
        ]}
        onChange={(profile) => useSend.setState({ profile: profile === 'srgb' })}
      />
    </>
  );
}

function qualityText(quality: number, file: string): string {
  if (file === 'webp' && quality === 100) return 'nothing is lost';
  return quality >= 85 ? 'fine' : quality >= 60 ? 'good enough for screens' : 'blocks will show';
}
