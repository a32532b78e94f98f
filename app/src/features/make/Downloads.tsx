import { PAPERS, tilesOf, type PaperName, type SizerForm, type TemplateSheet } from '@leggero/core/template';
import { memo, useState, type RefObject } from 'react';
import { View } from 'react-native';

import { fileName, keepFile } from '@/device/download';
import { Button } from '@/ui/Button';
import { Segmented } from '@/ui/Segmented';
import { Sheet } from '@/ui/Sheet';
import { Words } from '@/ui/Words';
import { FORM_WORDS, PAPER_WORDS } from '@/wording/make';
import { counted } from '@/wording/trade';

import { FORMAT_TYPES, makeFiles, type Format } from './makeFile';

interface DownloadsProps {
  form: SizerForm;
  /**
   * What is to be cut, as it stands when a button is pressed: the buttons are not drawn anew with every change of it.
   */
  sheets: RefObject<readonly TemplateSheet[]>;
  /** Something stands in the way. */
  none: boolean;
}

/** The three files of a template: PDF for paper, SVG and DXF for cutters. */
export const Downloads = memo(function Downloads({ form, sheets, none }: DownloadsProps) {
  const [paper, setPaper] = useState<PaperName>('a4');
  const [printing, setPrinting] = useState<readonly TemplateSheet[] | null>(null);
  const [failed, setFailed] = useState(false);
  const title = `Sizer ${FORM_WORDS[form].title.toLowerCase()}`;
  const keep = async (format: Format) => {
    setFailed(false);
    try {
      const files = await makeFiles({ format, sheets: sheets.current, title, paper });
      files.forEach((file, i) => {
        const name = files.length > 1 ? `${title} sheet ${i + 1}` : title;
        keepFile(file, { name: fileName(name, format), type: FORMAT_TYPES[format] });
      });
    } catch {
      setFailed(true);
    }
  };
  const pages = printing ? tilesOf(printing, PAPERS[paper]).length : 0;
  return (
    <View className="flex-1 gap-1">
      {failed ? (
        <Words look="error" role="alert">
          The file could not be written. Try again, or another format.
        </Words>
      ) : null}
      <View className="flex-row gap-2">
        <Button title="SVG" tall disabled={none} onPress={() => void keep('svg')} />
        <Button title="DXF" tall disabled={none} onPress={() => void keep('dxf')} />
        <Button
          title="PDF to print"
          look="primary"
          tall
          className="flex-1"
          disabled={none}
          onPress={() => setPrinting(sheets.current)}
        />
      </View>
      <Sheet title="PDF at true size" open={printing !== null} onClose={() => setPrinting(null)}>
        <Segmented
          label="Paper"
          options={(['a4', 'letter'] as const).map((value) => ({ value, title: PAPER_WORDS[value] }))}
          value={paper}
          onChange={setPaper}
        />
        <Words>
          {`${counted(pages, 'page')}. ` +
            `${pages > 1 ? 'Lay neighbours mark on mark, tape them, then cut. ' : ''}Print at 100 %, without ` +
            'fitting to the page.'}
        </Words>
        <Words look="quiet">
          Then measure the 100 mm bars: the app corrects every hole for your printer, and nothing is printed twice.
        </Words>
        <Button title="Download PDF" look="primary" tall onPress={() => void keep('pdf')} />
      </Sheet>
    </View>
  );
});
