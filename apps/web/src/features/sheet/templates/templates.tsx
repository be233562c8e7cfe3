import { memo, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { InputError, templatesOf, type Template } from '@north-leaf/core';
import { Note } from '../../../ui/frame/note';
import { Section } from '../../../ui/frame/section';
import { typeSize } from '../../../ui/theme/theme';
import { notify } from '../../../platform/notices';
import { usePreferences } from '../../../platform/preferences';
import { useSurroundings } from '../../board/doors';
import { papers, templatesPdf, templateSvg, type Paper } from './template-pdf';
import type { DrawnSheet } from '../sheet-plan';
import { t } from '../../../platform/words';

/** Paper patterns at their true size: one PDF of all, or an SVG each. */
export const Templates = memo(function Templates({ drawn: { formula, massG } }: { drawn: DrawnSheet }) {
  const { kitchen } = useSurroundings();
  const units = usePreferences((state) => state.units);
  const [busy, setBusy] = useState(false);
  const templates = made(() => templatesOf(formula, kitchen, massG));
  if (templates.length === 0) return null;
  const paper: Paper = units.length === 'mm' ? 'A4' : 'letter';
  const pdf = async (on: Paper) => {
    setBusy(true);
    try {
      save(
        t('sheet.nameTemplatesOnPdf', { name: formula.name, on }),
        new Blob([(await templatesPdf(templates, on)) as BlobPart], { type: 'application/pdf' }),
      );
    } catch (error) {
      notify(t('sheet.thePdfCouldNotBeMadeMessage', { message: (error as Error).message }), 'error');
    }
    setBusy(false);
  };
  return (
    <Section title={t('sheet.templates11')} label={t('sheet.templates')} level={3}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center', fontSize: typeSize.small }}>
        {[paper, ...(Object.keys(papers) as Paper[]).filter((one) => one !== paper)].map((one) => (
          <Button key={one} size="small" variant="outlined" disabled={busy} onClick={() => void pdf(one)}>
            {t('sheet.pdfOne', { one })}
          </Button>
        ))}
        {templates.map((template) => (
          <Button
            key={template.name}
            size="small"
            onClick={() => save(`${formula.name} ${template.name}.svg`, new Blob([templateSvg(template)], { type: 'image/svg+xml' }))}
          >
            {t('sheet.nameNumberSvg', { name: template.name, number: template.count })}
          </Button>
        ))}
      </Box>
      <Note>{t('sheet.printAt100AndMeasureTheLine')}</Note>
    </Section>
  );
});

function made(work: () => Template[]): Template[] {
  try {
    return work();
  } catch (error) {
    if (error instanceof InputError) return [];
    throw error;
  }
}

function save(name: string, blob: Blob): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}
