import type { Picture } from './readPaperFile';

interface PaperPictureProps {
  readonly picture: Picture;
  readonly active: number | undefined;
  readonly doubted: ReadonlySet<number>;
  readonly onActive: (line: number | undefined) => void;
}

/** The picture a paper was read from, with a frame around each line, so that each figure can be compared with its place. */
export const PaperPicture = ({ picture, active, doubted, onActive }: PaperPictureProps) => (
  <div className="relative mb-3 max-h-80 overflow-auto border border-line-strong" data-testid="paper-picture">
    <div className="relative">
      <img src={picture.url} alt={`The paper ${picture.name}`} className="block w-full" />
      {Object.entries(picture.boxes).map(([line, box]) => {
        const number = Number(line);
        return (
          <span
            key={line}
            className={`picture-line ${active === number ? 'is-active' : ''} ${doubted.has(number) ? 'is-doubted' : ''}`}
            style={{
              left: `${box.left * 100}%`,
              top: `${box.top * 100}%`,
              width: `${box.width * 100}%`,
              height: `${box.height * 100}%`,
            }}
            onMouseEnter={() => onActive(number)}
            onMouseLeave={() => onActive(undefined)}
          />
        );
      })}
    </div>
  </div>
);
