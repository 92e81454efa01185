// The two kinds that are used here: the package's front door brings passwords, searches and one-time codes along with them.
export { default as Input } from 'antd/es/input/Input';
export { default as TextArea } from 'antd/es/input/TextArea';
