import { ElMessage } from 'element-plus'
import 'element-plus/es/components/message/style/css'

/** Says in passing that something was kept; what has to be read stands in a notice instead. */
export const message = (says: string): void => void ElMessage({ message: says, type: 'success', duration: 4000 })
