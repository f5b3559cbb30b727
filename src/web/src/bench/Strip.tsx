// The bake's strand: slim, under what is to do now, or beside it where no other picture stands there.
import { api, type BenchView } from '../api/http';
import { houseSpeed, utcOffsetMinutes } from '../api/clock';
import { useWidth } from '../parts/useWidth';
import { StrandPicture } from '../strands/StrandPicture';
import css from './bench.module.css';

export function Strip({ bake, wide = false }: { bake: BenchView; wide?: boolean }) {
  const [ref, width] = useWidth<HTMLDivElement>();
  const { data } = api.useQuery(
    'post',
    '/api/bakes/{id}/picture',
    { params: { path: { id: bake.id } }, body: { width, slim: true, utcOffsetMinutes: utcOffsetMinutes() } },
    { enabled: width > 0, placeholderData: (before) => before, refetchInterval: houseSpeed() > 1 ? 3000 : 30000 },
  );
  return (
    <div className={wide ? css.way : `card ${css.strip}`}>
      <div className="picture-box" ref={ref}>
        {data && <StrandPicture picture={data} title={bake.title} />}
      </div>
    </div>
  );
}
