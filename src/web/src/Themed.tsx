// The pages that use the component library, in its colours as ours. The first page does without.
import { ConfigProvider } from 'antd';
import { Outlet } from 'react-router';
import { tokens, useDark, useStill } from './theme';

export default function Themed() {
  return (
    <ConfigProvider theme={tokens(useDark(), useStill())} virtual={false}>
      <Outlet />
    </ConfigProvider>
  );
}
