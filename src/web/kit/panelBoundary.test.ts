import { PanelBoundary } from './PanelBoundary.tsx';

const props = (resetKey: string) => ({ name: 'The advice', resetKey, children: null });

it('stands in for a panel that failed until its content is another', () => {
  const failed = { failed: false, resetKey: 'rose', ...PanelBoundary.getDerivedStateFromError() };
  expect(failed.failed).toBe(true);
  expect(PanelBoundary.getDerivedStateFromProps(props('rose'), failed)).toBeNull();
  expect(PanelBoundary.getDerivedStateFromProps(props('lawn'), failed)).toEqual({
    failed: false,
    resetKey: 'lawn',
  });
});
