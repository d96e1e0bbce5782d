declare module 'react-native-paper/lib/module/styles/themes/v3/LightTheme' {
  export { MD3LightTheme } from 'react-native-paper';
}
