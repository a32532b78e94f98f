import type { ModelDetail, Studio } from '@leggero/contract';
import { MM_PER_INCH, type FoilKind } from '@leggero/core';
import { bodyWhenFull, flatAreaMm2, foilHeadroom, type FoilBody } from '@leggero/core/foil';
import { foilMassG } from '@leggero/core/helium';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { modelName } from '@/views/modelView';
import { useStudio } from '@/data/records';
import { useTrade } from '@/data/trade';
import { EditDetails } from '@/parts/EditDetails';
import { PlaceFields } from '@/parts/PlaceFields';
import { Card } from '@/ui/Card';
import { Cautions } from '@/parts/Cautions';
import { HeliumCard } from '@/parts/HeliumCard';
import { useWide } from '@/ui/layout';
import { Page } from '@/ui/Page';
import { RowLink } from '@/ui/RowLink';
import { Loading } from '@/ui/States';
import { Tool } from '@/ui/Tool';
import { useAddress } from '@/ui/useAddress';
import { Words } from '@/ui/Words';
import { FOIL_WORDS, headroomText, TWO_CHAMBERS } from '@/wording/foil';
import { litresText } from '@/wording/helium';
import { KIND_WORDS, percent } from '@/wording/trade';

import { FoilPicture } from './FoilPicture';

/**
 * A foil: when to stop, what room to leave for heat, and the place it takes. Where it is shown stands in the address.
 */
export function FoilPage({ model }: { model: ModelDetail }) {
  const studio = useStudio().data;
  const wide = useWide();
  const kind = model.kind === 'stretch-foil' ? 'stretch-foil' : 'foil';
  return (
    <Page
      title={modelName(model)}
      subtitle={`${KIND_WORDS[kind].toLowerCase()} · ${model.colourName}`}
      back={wide ? undefined : '/shelf'}
      aside={<EditDetails modelId={model.id} />}
    >
      {studio ? <Shown model={model} kind={kind} studio={studio} /> : <Loading what="the studio" />}
    </Page>
  );
}

interface ShownProps {
  model: ModelDetail;
  kind: FoilKind;
  studio: Studio;
}

function Shown({ model, kind, studio }: ShownProps) {
  const trade = useTrade();
  const lengths = useLengths();
  const wide = useWide();
  const { text } = lengths;
  const made = bodyWhenFull({ ...model, kind });
  const body = made.ok ? made.value : null;
  const from = { tempC: studio.workroomTempC, altitudeM: studio.workroomAltitudeM };
  const { stop, shutOff, seal } = FOIL_WORDS[kind];
  return (
    <View className={wide ? 'flex-row items-start gap-6' : 'gap-4'}>
      <View className={wide ? 'flex-1 gap-4' : 'gap-4'}>
        {body ? (
          <>
            <FoilPicture
              body={body}
              kind={kind}
              colourHex={model.colourHex}
              label={
                `Full, from the front and from the side: ${text(body.widthMm)} wide, ` +
                `${text(body.heightMm)} high, ${text(body.depthMm)} deep`
              }
            />
            <View className="flex-row gap-2">
              <Tool title="Wide" figure={lengths.bare(body.widthMm)} note={lengths.unit} />
              <Tool title="High" figure={lengths.bare(body.heightMm)} note={lengths.unit} />
              <Tool title="Deep" figure={lengths.bare(body.depthMm)} note={lengths.unit} />
            </View>
            <Words look="quiet">{bodyText(model, body, kind, lengths.long)}</Words>
          </>
        ) : null}
        <Card title="When to stop">
          <View className="gap-2">
            <Words look="strong">{stop}</Words>
            <Words>{shutOff}</Words>
            <Words>{seal}</Words>
            {kind === 'foil' ? <Words look="quiet">{TWO_CHAMBERS}</Words> : null}
          </View>
        </Card>
        {kind === 'stretch-foil' ? (
          <RowLink
            href={`/shelf/orb?sphere=${model.nominalMm}`}
            title="Put it in clear latex"
            note="When to let air out, and the gap to keep"
          />
        ) : null}
      </View>
      <View className={wide ? 'flex-1 gap-4' : 'gap-4'}>
        <Headroom from={from} />
        {body ? (
          <HeliumCard
            title="If it is to float"
            volumeL={body.volumeL}
            massG={foilMassG({ areaMm2: flatAreaMm2(model), trade })}
            place={from}
            lengths={lengths}
          />
        ) : null}
        <Cautions names={['power', 'heights', 'choking']} />
      </View>
    </View>
  );
}

/** Common practice. */
const TOPPER_MM = 30 * MM_PER_INCH;

/** What it holds, how it draws in, and how it stands as a topper: common practice. */
function bodyText(
  { nominalMm, lengthMm }: ModelDetail,
  { volumeL }: FoilBody,
  kind: FoilKind,
  text: (mm: number) => string,
) {
  const holds = `It holds ${litresText(volumeL)}.`;
  const draws = kind === 'foil' ? ` Lying flat it is ${text(nominalMm)}: full it draws in.` : '';
  const less = lengthMm === null ? '' : ' Figures and letters hold less than this pillow of their size.';
  return (
    `${holds}${draws}${less} On a column of 11 in balloons a topper wants ${text(TOPPER_MM)} or more: a smaller ` +
    'one looks lost.'
  );
}

function Headroom({ from }: { from: { tempC: number; altitudeM: number } }) {
  const trade = useTrade();
  const [params, ask] = useAddress<'temp' | 'alt'>();
  const tempC = Number(params.temp ?? 33);
  const altitudeM = Number(params.alt ?? from.altitudeM);
  const room = foilHeadroom({ from, to: { tempC, altitudeM }, trade });
  return (
    <Card title="Room for heat">
      <View className="gap-3">
        <PlaceFields
          place={{ tempC, altitudeM }}
          temperature={{ label: 'At the venue, °C', hint: `Filled at ${from.tempC} °C.` }}
          altitude={{ label: 'Above the sea, m', hint: `Filled at ${from.altitudeM} m.` }}
          onChange={(to) =>
            ask({
              ...(to.tempC === undefined ? {} : { temp: String(to.tempC) }),
              ...(to.altitudeM === undefined ? {} : { alt: String(to.altitudeM) }),
            })
          }
        />
        {room.ok ? (
          <>
            <Words look="strong" role="status">
              {headroomText(room.value)}
            </Words>
            <Words look="quiet">
              {`Its gas wants ${percent(room.value.venueShare)} of the room it has here, by the gas law. Foil ` +
                'does not give.'}
            </Words>
          </>
        ) : null}
      </View>
    </Card>
  );
}
