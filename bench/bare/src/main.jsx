import { App, Button, ConfigProvider } from 'antd';
import { createRoot } from 'react-dom/client';

createRoot(document.getElementById('root')).render(
  <ConfigProvider>
    <App>
      <Button>Empty</Button>
    </App>
  </ConfigProvider>,
);
