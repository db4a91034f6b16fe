import { LABEL_SHEETS } from '@gentle-burrow/core/labels';
import { useState } from 'react';
import { Image, Linking, StyleSheet, View } from 'react-native';
import { inOrder, living } from '@/features/shelf/arrange';
import { useShelf, useSpecies } from '@/data/queries';
import { usePreferences } from '@/theme/preferences';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { download, inZone } from '@/ui/download';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { useDraft } from '@/ui/drafts';
import { NumberField, TextField } from '@/ui/fields';
import { Screen } from '@/ui/Screen';
import { Failed, Loading } from '@/ui/states';
import { Sheet } from '@/ui/Sheet';
import { inUnits } from '@/ui/units';
import { useWidth } from '@/ui/useWidth';
import { usePaper } from '@/ui/paper';
import { Tick } from '@/ui/Tick';
import { Words } from '@/ui/Words';

interface Draft {
  sheet: string;
  skip: number;
  origin: string;
  /** Queens left out. */
  without: string[];
}

const QUESTION = 'Which labels do you want?';

/** Which labels do you want? Letter, species, day, and a code that opens the look of just this queen. */
export function LabelsPage({ only }: { only?: readonly string[] | undefined }) {
  const units = usePreferences();
  const p = useBurrow();
  const shelf = useShelf();
  const rows = living(shelf.data ?? []).sort((a, b) => inOrder(a.queen.label, b.queen.label));
  const species = useSpecies();
  const [width, onLayout] = useWidth();
  const [failed, setFailed] = useState<string | null>(null);
  const { value: d, change } = useDraft<Draft>('labels', {
    sheet: 'strip-16',
    skip: 0,
    origin: window.location.origin,
    without: [],
  });
  // those who were selected on the shelf stand in for what was chosen here before
  const [asked, setAsked] = useState(only);
  const without = asked ? rows.map((r) => r.queen.id).filter((id) => !asked.includes(id)) : d.without;
  const leaveOut = (ids: string[]) => {
    setAsked(undefined);
    change({ without: ids });
  };
  const sheet = LABEL_SHEETS.find((s) => s.id === d.sheet) ?? LABEL_SHEETS[0]!;
  const perPage = sheet.columns * sheet.rows;
  const chosen = rows.filter((r) => !without.includes(r.queen.id)).map((r) => r.queen.id);
  const skipFine = Number.isInteger(d.skip) && d.skip >= 0 && d.skip < perPage;
  const originFine = /^https?:\/\/[^\s/]+/.test(d.origin) && d.origin.length <= 120;
  const ready = chosen.length > 0 && skipFine && originFine;
  const query = new URLSearchParams({
    queens: chosen.join(','),
    sheet: sheet.id,
    skip: String(skipFine ? d.skip : 0),
    origin: d.origin.trim(),
  }).toString();
  const [paper, print] = usePaper();
  const pages = Math.max(1, Math.ceil((chosen.length + (skipFine ? d.skip : 0)) / perPage));
  const svg = inZone(`/api/labels.svg?${query}`);
  const toggle = (id: string) =>
    leaveOut(without.includes(id) ? without.filter((w) => w !== id) : [...without, id]);
  if (!shelf.data)
    return (
      <Screen question={QUESTION} back="/bench">
        {shelf.error ? <Failed error={shelf.error} onRetry={shelf.retry} /> : <Loading what="the shelf" />}
      </Screen>
    );
  return (
    <Screen question={QUESTION} back="/bench">
      <Choice
        label="Paper"
        options={LABEL_SHEETS.map((s) => ({
          value: s.id,
          label: inUnits(s.name, units),
          ...(s.id.startsWith('letter')
            ? { hint: 'letter paper' }
            : s.id.startsWith('a4')
              ? { hint: 'A4' }
              : {}),
        }))}
        value={sheet.id}
        onChange={(id) => change({ sheet: id, skip: 0 })}
      />
      <View style={styles.row}>
        <NumberField
          label="Already used on the sheet"
          value={Number.isFinite(d.skip) ? d.skip : null}
          onChange={(v) => change({ skip: v ?? NaN })}
          fault={skipFine ? undefined : `A sheet has ${perPage} labels. Give 0 to ${perPage - 1}.`}
        />
        <View style={styles.fill}>
          <TextField
            label="Address of this application"
            value={d.origin}
            onChange={(origin) => change({ origin })}
            fault={
              originFine
                ? undefined
                : 'The address must begin with http:// or https://, like http://192.168.1.5:4860.'
            }
            hint="As your telephone reaches it. A code read inside the application works with any address."
          />
        </View>
      </View>
      <Sheet tight>
        <View style={styles.head}>
          <Words kind="heading" level={2}>{`${chosen.length} of ${rows.length} queens`}</Words>
          <Button mode="text" onPress={() => leaveOut(without.length > 0 ? [] : rows.map((r) => r.queen.id))}>
            {without.length > 0 ? 'All' : 'None'}
          </Button>
        </View>
        {rows.length === 0 ? <Words soft>No living queen stands here: nothing to label yet.</Words> : null}
        <View style={styles.queens}>
          {rows.map((r) => (
            <Tick
              key={r.queen.id}
              label={`${r.queen.label}, ${species.find((s) => s.id === r.profileId)?.name ?? 'unknown'}`}
              on={!without.includes(r.queen.id)}
              onPress={() => toggle(r.queen.id)}
            />
          ))}
        </View>
      </Sheet>
      {ready ? (
        <View style={styles.preview} onLayout={onLayout}>
          <Words kind="small" soft>
            {`${pages === 1 ? 'One sheet' : `${pages} sheets`}. Print in real size (100 %), without fitting to the page.`}
          </Words>
          {failed === svg ? (
            <Words color={p.clay}>
              The sheet could not be drawn: labels are made by the server, which cannot be reached now.
              Nothing is lost; try again when it can.
            </Words>
          ) : (
            <Image
              source={{ uri: svg }}
              accessibilityLabel="The first sheet of labels"
              onError={() => setFailed(svg)}
              resizeMode="contain"
              style={{
                width,
                height: (width * sheet.page.heightMm) / sheet.page.widthMm,
                borderWidth: 1,
                borderColor: p.rule,
              }}
            />
          )}
        </View>
      ) : null}
      {paper}
      <View style={styles.row}>
        <Button
          mode="contained"
          compact
          icon="printer-outline"
          disabled={!ready}
          onPress={() =>
            print(
              Array.from({ length: pages }, (_, page) => (
                <img
                  key={page}
                  alt={`Sheet ${page + 1}`}
                  src={inZone(`/api/labels.svg?${query}&page=${page}`)}
                  style={{
                    display: 'block',
                    width: `${sheet.page.widthMm}mm`,
                    height: `${sheet.page.heightMm}mm`,
                    breakAfter: page + 1 < pages ? 'page' : 'auto',
                  }}
                />
              )),
              sheet.page,
            )
          }
        >
          Print
        </Button>
        <Button
          mode="outlined"
          compact
          disabled={!ready}
          onPress={() => download(`/api/labels.pdf?${query}`)}
        >
          Open as PDF
        </Button>
        <Button compact mode="outlined" disabled={!ready} onPress={() => void Linking.openURL(svg)}>
          Open as SVG
        </Button>
      </View>
    </Screen>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  fill: { flexGrow: 2, flexShrink: 1, flexBasis: 200, minWidth: 0 },
  head: { flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center' },
  queens: { flexDirection: 'row', flexWrap: 'wrap', columnGap: SPACE.l },
  preview: { gap: SPACE.s },
});
