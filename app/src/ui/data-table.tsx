import { useMemo, useRef, useState, type ReactNode } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import {
  getCoreRowModel,
  getFilteredRowModel,
  getSortedRowModel,
  useReactTable,
  type ColumnDef,
  type SortingState,
  type VisibilityState,
} from '@tanstack/react-table';
import { useVirtualizer } from '@tanstack/react-virtual';
import { SPACE, usePalette } from '../theme/theme.tsx';
import { Button } from './button.tsx';
import { counted } from './counted.ts';
import { Field } from './field.tsx';
import { Fold } from './fold.tsx';
import { Words } from './text.tsx';
import { Touch } from './touch.tsx';

/** From this width on a table has columns; on a phone a row is a line. */
const WIDE_PX = 900;
const ROW_PX = 56;
/** Rows drawn beyond what is seen, so that a quick finger finds them there. */
const BEYOND = 8;
/** From so many rows on there is something to look for. */
const FIND_FROM = 8;

export interface TableColumn<R> {
  id: string;
  header: string;
  /** What it is sorted by. */
  value: (row: R) => string | number;
  /** What stands in the cell, and is found by; the value where it is not given. */
  show?: (row: R) => string;
  /** Share of the width, 1 unless told. */
  share?: number;
  /** Left out until it is chosen. */
  hidden?: boolean;
}

interface Props<R> {
  label: string;
  rows: readonly R[];
  rowKey: (row: R) => string;
  columns: readonly TableColumn<R>[];
  /** The row as one line, on a phone; what it says is said by `rowWords`. */
  line: (row: R) => ReactNode;
  rowWords: (row: R) => string;
  /** What a row opens to. */
  details?: (row: R) => ReactNode;
}

/** On the web a view is an element. */
const elementOf = (view: unknown) => (view instanceof HTMLElement ? view : null);
/** Tells the measuring of rows which one it is. */
const indexed = (index: number) => ({ dataSet: { index } });

/** A long table: found in, sorted, its columns chosen where there is room; a line a row on a phone. Only what is seen is drawn. */
export function DataTable<R>({ label, rows, rowKey, columns, line, rowWords, details }: Props<R>) {
  const wide = useWindowDimensions().width >= WIDE_PX;
  const palette = usePalette();
  const [sorting, setSorting] = useState<SortingState>([]);
  const [find, setFind] = useState('');
  const [visibility, setVisibility] = useState<VisibilityState>(() =>
    Object.fromEntries(columns.map(({ id, hidden }) => [id, !hidden])),
  );
  const [open, setOpen] = useState<string | null>(null);
  const data = useMemo(() => [...rows], [rows]);
  const defs = useMemo(
    () => columns.map(({ id, header, value }): ColumnDef<R> => ({ id, header, accessorFn: value })),
    [columns],
  );
  const table = useReactTable({
    data,
    columns: defs,
    state: { sorting, globalFilter: find.trim(), columnVisibility: visibility },
    onSortingChange: setSorting,
    onColumnVisibilityChange: setVisibility,
    getRowId: rowKey,
    getColumnCanGlobalFilter: () => true,
    globalFilterFn: (row, _column, wanted: string) =>
      `${rowWords(row.original)} ${columns.map(({ show, value }) => show?.(row.original) ?? value(row.original)).join(' ')}`
        .toLowerCase()
        .includes(wanted.toLowerCase()),
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
    getFilteredRowModel: getFilteredRowModel(),
  });
  const found = table.getRowModel().rows;
  const scroll = useRef<HTMLElement>(null);
  const virtual = useVirtualizer({
    count: found.length,
    getScrollElement: () => scroll.current,
    estimateSize: () => ROW_PX,
    overscan: BEYOND,
    getItemKey: (index) => found[index]!.id,
  });
  const shown = columns.filter(({ id }) => visibility[id] !== false);
  return (
    <View style={styles.box}>
      {rows.length >= FIND_FROM ? (
        <Field label={`Find in ${label.toLowerCase()}`} value={find} onChange={setFind} />
      ) : null}
      {find.trim() === '' ? null : (
        <Words role="status" size="small">{`${counted(found.length, 'row')} of ${rows.length}`}</Words>
      )}
      {wide ? (
        <Fold title="Columns" aside={`${shown.length} of ${columns.length}`}>
          <View style={styles.choose}>
            {table.getAllLeafColumns().map((column) => (
              <Button
                key={column.id}
                label={String(column.columnDef.header)}
                selected={column.getIsVisible()}
                off={column.getIsVisible() && shown.length === 1 ? 'One column stays.' : null}
                onPress={() => column.toggleVisibility()}
              />
            ))}
          </View>
        </Fold>
      ) : null}
      <View
        role={wide ? 'table' : undefined}
        accessibilityLabel={wide ? label : undefined}
        aria-rowcount={wide ? found.length + 1 : undefined}
      >
        {wide ? (
          <View role="row" aria-rowindex={1} style={[styles.row, { borderColor: palette.ink }]}>
            {table.getFlatHeaders().map((header) => {
              const sorted = header.column.getIsSorted();
              const { share = 1 } = columns.find(({ id }) => id === header.id)!;
              return (
                <View
                  key={header.id}
                  role="columnheader"
                  aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'}
                  style={{ flex: share }}
                >
                  <Touch
                    label={`Sort by ${String(header.column.columnDef.header).toLowerCase()}`}
                    onPress={() => header.column.toggleSorting()}
                    style={styles.head}
                  >
                    <Words size="small" bold>
                      {`${String(header.column.columnDef.header)}${sorted === 'asc' ? ' ↑' : sorted === 'desc' ? ' ↓' : ''}`}
                    </Words>
                  </Touch>
                </View>
              );
            })}
          </View>
        ) : null}
        <View
          ref={(view) => void (scroll.current = elementOf(view))}
          role={wide ? 'rowgroup' : 'list'}
          accessibilityLabel={wide ? undefined : label}
          tabIndex={0}
          style={styles.scroll}
        >
          <View role="presentation" style={{ height: virtual.getTotalSize() }}>
            {virtual.getVirtualItems().map(({ index, start, key }) => {
              const { original, id } = found[index]!;
              const isOpen = open === id;
              const press = {
                label: rowWords(original),
                ...(details ? { 'aria-expanded': isOpen, onPress: () => setOpen(isOpen ? null : id) } : {}),
              };
              return (
                <View
                  key={key}
                  ref={(view) => virtual.measureElement(elementOf(view))}
                  {...indexed(index)}
                  role={wide ? 'row' : 'listitem'}
                  aria-rowindex={wide ? index + 2 : undefined}
                  style={[styles.placed, { transform: [{ translateY: start }], borderColor: palette.rule }]}
                >
                  {wide ? (
                    <View role="presentation" style={styles.row}>
                      {shown.map(({ id: column, show, value, share = 1 }, at) => {
                        const text = (
                          <Words size="small" figure bold={at === 0}>
                            {String(show?.(original) ?? value(original))}
                          </Words>
                        );
                        return (
                          <View key={column} role="cell" style={[styles.cell, { flex: share }]}>
                            {at === 0 && details ? (
                              <Touch {...press} style={styles.head}>
                                {text}
                              </Touch>
                            ) : (
                              text
                            )}
                          </View>
                        );
                      })}
                    </View>
                  ) : details ? (
                    <Touch {...press} style={styles.line}>
                      {line(original)}
                    </Touch>
                  ) : (
                    <View style={styles.line}>{line(original)}</View>
                  )}
                  {isOpen ? <View role={wide ? 'cell' : undefined}>{details!(original)}</View> : null}
                </View>
              );
            })}
          </View>
        </View>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: SPACE.gap },
  choose: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.near },
  row: { flexDirection: 'row', gap: SPACE.gap },
  head: { minHeight: 48, justifyContent: 'center' },
  cell: { minHeight: ROW_PX, justifyContent: 'center' },
  scroll: { maxHeight: 480, overflow: 'scroll' },
  placed: { position: 'absolute', left: 0, right: 0, top: 0, borderTopWidth: 1 },
  line: { minHeight: ROW_PX, paddingVertical: 10, gap: 2 },
});
