import { PanelBoundary } from './PanelBoundary.tsx';

const { getDerivedStateFromError, getDerivedStateFromProps } = PanelBoundary;
const props = (resetKey: string) => ({ name: 'The advice', resetKey, children: null });

it('stands in for a panel that failed until its content is another', () => {
  const failed = { failed: false, resetKey: 'rose', ...getDerivedStateFromError() };
  expect(failed.failed).toBe(true);
  expect(getDerivedStateFromProps(props('rose'), failed)).toBeNull();
  expect(getDerivedStateFromProps(props('lawn'), failed)).toEqual({
    failed: false,
    resetKey: 'lawn',
  });
});
